import { PAPERS } from '$lib/core/print/paper';
import { BINDER_SHEETS } from '$lib/server/binders/print-sheets';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { fileTask } from '$lib/server/workers/file-task';
import type { RequestHandler } from './$types';
import { type BinderId, rowId } from '$lib/core/row-id';

const USUAL_SPINE_MM = 45;

/** A sheet of a binder to print: `?paper=a4|letter`, and for the spine label `&width=` in millimetres. */
export const GET: RequestHandler = async ({ params, url, request }) => {
	const which = BINDER_SHEETS.find((sheet) => sheet === params.sheet);
	if (!which) return problemResponse(404, `There is no sheet "${params.sheet}".`);
	const name = url.searchParams.get('paper') ?? 'a4';
	const paper = PAPERS.find(({ key }) => key === name);
	const spineMm = Number(url.searchParams.get('width') ?? USUAL_SPINE_MM);
	if (!paper || !(spineMm >= 10 && spineMm <= 150)) {
		return problemResponse(400, 'The sheet cannot be printed like this.', [
			...(paper
				? []
				: [{ field: 'paper', message: `there is no paper "${name}"`, remedy: 'a4 or letter' }]),
			...(spineMm >= 10 && spineMm <= 150
				? []
				: [{ field: 'width', message: 'a spine is 10 to 150 mm wide' }])
		]);
	}
	const { now } = await theCollection();
	const binder: BinderId = rowId(Number(params.binder));
	const options = { binder, sheet: which, paper, spineMm, now: now() };
	return fileTask('printBinder', options, request.signal, (file) =>
		file === null
			? problemResponse(404, 'There is no such binder.')
			: download(file.bytes, file.name, 'application/pdf')
	);
};
