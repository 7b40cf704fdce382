import type { RequestHandler } from '@sveltejs/kit';
import { PAPERS } from '$lib/core/print/paper';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { readListingIds } from '$lib/server/selling/listings/read-listing-ids';
import { fileTask } from '$lib/server/workers/file-task';

/** The slip that lies in a parcel: `?listing=1&listing=2`. */
export const GET: RequestHandler = async ({ url, request }) => {
	const ids = readListingIds(url.searchParams);
	const [paper] = PAPERS;
	if (!paper) throw new RangeError('packing-slip: no paper');
	const { now } = await theCollection();
	return fileTask('packingSlip', { ids, paper, now: now() }, request.signal, (bytes) =>
		bytes === null
			? problemResponse(404, 'No such listing was sold.')
			: download(bytes, 'packing-slip.pdf', 'application/pdf')
	);
};
