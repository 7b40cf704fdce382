import type { RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { MOST_ALIKE } from '$lib/server/telling/look-alikes';
import { fileTask } from '$lib/server/workers/file-task';

/** Look-alikes as a card to carry: `?of=release&of=release/section&of=release/card~finish`. */
export const GET: RequestHandler = async ({ url, request }) => {
	const { now } = await theCollection();
	const keys = url.searchParams.getAll('of').slice(0, MOST_ALIKE);
	return fileTask('printTells', { keys, now: now() }, request.signal, (bytes) =>
		bytes === null
			? problemResponse(404, 'It takes two look-alikes that are in the collection.')
			: download(bytes, 'tell-apart.pdf', 'application/pdf')
	);
};
