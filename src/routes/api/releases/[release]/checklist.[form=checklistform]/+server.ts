import type { RequestHandler } from '@sveltejs/kit';
import { writeXlsx } from '$lib/formats/xlsx';
import { checklistTable, formatChecklistCsv } from '$lib/formats/checklist-csv';
import { formatChecklistJson } from '$lib/formats/checklist-json';
import type { Release } from '$lib/core/checklist/release';
import { fingerprintOf } from '$lib/server/checklists/fingerprint';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { loadRelease } from '$lib/server/releases/load-release';

/** A checklist as a file; its ETag guards a PUT that replaces it (`If-Match`). */
export const GET: RequestHandler = async ({ params }) => {
	const stored = await loadRelease((await theCollection()).db, params.release ?? '');
	if (!stored) return problemResponse(404, 'This release is not in the collection.');
	const { release } = stored;
	const file = await fileOf(release, params.form);
	file.headers.set('etag', `"${fingerprintOf(release)}"`);
	return file;
};

async function fileOf(release: Release, form: string | undefined): Promise<Response> {
	if (form === 'xlsx') {
		const bytes = await writeXlsx(release.name, checklistTable(release));
		const type = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
		return download(bytes, `${release.key}.checklist.xlsx`, type);
	}
	return form === 'csv'
		? download(formatChecklistCsv(release), `${release.key}.checklist.csv`, 'text/csv')
		: download(formatChecklistJson(release), `${release.key}.checklist.json`, 'application/json');
}
