import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { fileTask } from '$lib/server/workers/file-task';
import type { RequestHandler } from './$types';

/**
 * What is known of a release, to pass on: `?from=` who has learnt it, `?pictures=no` without reference pictures,
 * `?prices=yes` with the price book. Nothing that is owned is in it.
 */
export const GET: RequestHandler = async ({ params, url, request }) => {
	const { now } = await theCollection();
	const from = (url.searchParams.get('from') ?? '').trim().slice(0, 100);
	const ask = {
		release: params.release,
		from: from || 'somebody',
		hasPictures: url.searchParams.get('pictures') !== 'no',
		hasPrices: url.searchParams.get('prices') === 'yes',
		on: now().slice(0, 10)
	};
	return fileTask('exportKnowledge', ask, request.signal, (file) =>
		file === null
			? problemResponse(404, 'This release is not in the collection.')
			: download(file, `${params.release}.knowledge.zip`, 'application/zip')
	);
};
