import type { RequestHandler } from '@sveltejs/kit';
import { download } from '$lib/server/download';
import { fileTask } from '$lib/server/workers/file-task';

const TYPES = {
	csv: 'text/csv',
	xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
} as const;

/** Everything that is owned, a row a copy or pile: what the import reads back. Written in a worker. */
export const GET: RequestHandler = async ({ params, request }) => {
	const form = params.form === 'csv' ? 'csv' : 'xlsx';
	return fileTask('exportHoldings', { form }, request.signal, (file) =>
		download(file, `holdings.${form}`, TYPES[form])
	);
};
