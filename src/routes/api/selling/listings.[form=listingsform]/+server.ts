import type { RequestHandler } from '@sveltejs/kit';
import { readListingIds } from '$lib/server/selling/listings/read-listing-ids';
import { download } from '$lib/server/download';
import { fileTask } from '$lib/server/workers/file-task';

/** Listings that are ready or listed as a table, or that with their photos: `?listing=1&listing=2` for some. */
export const GET: RequestHandler = ({ params, url, request }) => {
	const form = params.form === 'zip' ? 'zip' : 'csv';
	const ids = readListingIds(url.searchParams);
	return fileTask('exportListings', { form, ids }, request.signal, (file) =>
		download(file, `listings.${form}`, form === 'csv' ? 'text/csv' : 'application/zip')
	);
};
