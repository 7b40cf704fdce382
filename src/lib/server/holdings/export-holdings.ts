import { formatHoldingsCsv, holdingsTable } from '../../formats/write-holdings.ts';
import { writeXlsx } from '../../formats/xlsx.ts';
import { readCopies } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { listReleases } from '../releases/list-releases.ts';
import { loadRelease } from '../releases/load-release.ts';

/** Everything that is owned, a row a copy or pile: what the import reads back. */
export async function exportHoldings(
	db: Reader,
	form: 'csv' | 'xlsx'
): Promise<string | Uint8Array<ArrayBuffer>> {
	const parts = [];
	for (const { key } of (await listReleases(db)).filter(({ owned }) => owned > 0)) {
		const stored = await loadRelease(db, key);
		if (stored) parts.push({ release: stored.release, copies: await readCopies(db, stored.id) });
	}
	return form === 'csv' ? formatHoldingsCsv(parts) : writeXlsx('Holdings', holdingsTable(parts));
}
