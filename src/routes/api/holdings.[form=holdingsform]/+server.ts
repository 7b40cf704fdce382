import type { RequestHandler } from '@sveltejs/kit';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { streamParts } from '$lib/server/stream-parts';
import { fileTask } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** Everything that is owned, a row a copy or pile: what the import reads back. Written in a worker. */
export const GET: RequestHandler = async ({ params, request }) =>
	params.form === 'csv'
		? streamParts(
				(from) => runTask('exportHoldingsCsv', { from }, request.signal),
				(file) => download(file, 'holdings.csv', 'text/csv')
			)
		: fileTask('exportHoldingsXlsx', undefined, request.signal, (made) =>
				made.ok
					? download(made.value, 'holdings.xlsx', XLSX)
					: problemResponse(400, 'Nothing was written.', made.problems)
			);
