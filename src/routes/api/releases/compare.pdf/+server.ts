import { PAPERS } from '$lib/core/print/paper';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { fileTask } from '$lib/server/workers/file-task';
import type { RequestHandler } from './$types';

/** Releases or sections beside each other, to print: `?side=release&side=release/section&paper=a4|letter`. */
export const GET: RequestHandler = async ({ url, request }) => {
	const name = url.searchParams.get('paper') ?? 'a4';
	const paper = PAPERS.find(({ key }) => key === name);
	if (!paper) {
		return problemResponse(400, 'This cannot be printed.', [
			{ field: 'paper', message: `there is no paper "${name}"`, remedy: 'a4 or letter' }
		]);
	}
	const { now } = await theCollection();
	const options = { names: url.searchParams.getAll('side'), paper, now: now() };
	return fileTask('printComparison', options, request.signal, (bytes) =>
		bytes === null
			? problemResponse(404, 'It takes two releases, or sections, that are in the collection.')
			: download(bytes, 'side-by-side.pdf', 'application/pdf')
	);
};
