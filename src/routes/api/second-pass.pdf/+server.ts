import type { RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { fileTask } from '$lib/server/workers/file-task';

/** The list of a second pass, to print: `?release=` only of one, `?all` what was looked at as well. */
export const GET: RequestHandler = async ({ url, request }) => {
	const { now } = await theCollection();
	const release = url.searchParams.get('release');
	const options = { release, all: url.searchParams.has('all'), now: now() };
	return fileTask('printSecondPass', options, request.signal, (bytes) =>
		download(bytes, 'second-pass.pdf', 'application/pdf')
	);
};
