import { PAPERS } from '$lib/core/print/paper';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { fileTask } from '$lib/server/workers/file-task';
import type { RequestHandler } from './$types';

/** The checklist to print, with what is there ticked: `?paper=a4|letter`. */
export const GET: RequestHandler = async ({ params, url, request }) => {
	const name = url.searchParams.get('paper') ?? 'a4';
	const paper = PAPERS.find(({ key }) => key === name);
	if (!paper) {
		return problemResponse(400, 'The checklist cannot be printed like this.', [
			{ field: 'paper', message: `there is no paper "${name}"`, remedy: 'a4 or letter' }
		]);
	}
	const { now } = await theCollection();
	const options = { release: params.release, paper, now: now() };
	return fileTask('printChecklist', options, request.signal, (file) =>
		file === null
			? problemResponse(404, 'This release is not in the collection.')
			: download(file.bytes, file.name, 'application/pdf')
	);
};
