import type { RequestHandler } from '@sveltejs/kit';
import { PAPERS } from '$lib/core/print/paper';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { readPreference } from '$lib/server/preferences/preferences';
import { problemResponse } from '$lib/server/problem-document';
import { readQuery } from '$lib/server/read-query';
import { fileTask } from '$lib/server/workers/file-task';
import { readScope } from '../../../worth/value/read-scope';

const TYPES = {
	csv: 'text/csv',
	xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
	pdf: 'application/pdf'
} as const;

/** What is there and what it is worth, for an insurer: `of` as on the value page, `least` a sum from which on cards stand singly. */
export const GET: RequestHandler = async ({ params, url, request }) => {
	const { db, now } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const said = readQuery(url.searchParams, currency);
	const leastMinor = said.money('least') ?? 0;
	if (said.misread.length > 0) {
		return problemResponse(400, 'The list cannot be written.', said.misread);
	}
	const form = params.form === 'csv' ? 'csv' : params.form === 'xlsx' ? 'xlsx' : 'pdf';
	const scope = readScope(said.text('of'));
	const [paper] = PAPERS;
	if (!paper) throw new RangeError('insurance: no paper');
	return fileTask(
		'insuranceList',
		{ scope, leastMinor, form, paper, now: now() },
		request.signal,
		(file) => download(file, `insurance.${form}`, TYPES[form])
	);
};
