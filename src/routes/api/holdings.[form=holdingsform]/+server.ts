import type { RequestHandler } from '@sveltejs/kit';
import { formatHoldingsCsv, holdingsTable } from '$lib/formats/write-holdings';
import { writeXlsx } from '$lib/formats/xlsx';
import { theCollection } from '$lib/server/collection';
import { readCopies } from '$lib/server/copies/read-copies';
import { download } from '$lib/server/download';
import { listReleases } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';

/** Everything that is owned, a row a copy or pile: what the import reads back. */
export const GET: RequestHandler = async ({ params }) => {
	const { db } = await theCollection();
	const parts = [];
	for (const { key } of (await listReleases(db)).filter(({ owned }) => owned > 0)) {
		const stored = await loadRelease(db, key);
		if (stored) parts.push({ release: stored.release, copies: await readCopies(db, stored.id) });
	}
	if (params.form === 'csv') return download(formatHoldingsCsv(parts), 'holdings.csv', 'text/csv');
	const type = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
	return download(await writeXlsx('Holdings', holdingsTable(parts)), 'holdings.xlsx', type);
};
