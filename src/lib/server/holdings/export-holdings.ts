import { formatHoldingsCsv, holdingsTable } from '../../formats/write-holdings.ts';
import { writeXlsx } from '../../formats/xlsx.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import { readCopies } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import type { FilePart } from '../file-part.ts';
import { listReleases } from '../releases/list-releases.ts';
import { loadRelease } from '../releases/load-release.ts';

/** So many copies, or a release more, are written at a time. */
const COPIES_AT_ONCE = 10_000;
/** A workbook is made in memory as a whole. */
const MOST_IN_WORKBOOK = 60_000;

const ownedReleases = async (db: Reader) =>
	(await listReleases(db)).filter(({ owned }) => owned > 0);

async function partOf(db: Reader, key: string) {
	const stored = await loadRelease(db, key);
	return stored ? [{ release: stored.release, copies: await readCopies(db, stored.id) }] : [];
}

/**
 * Everything that is owned as CSV, a row a copy or pile: what the import reads back. In parts, so that it takes no more memory
 * however much is owned; `from` is 0, then what the part before said.
 */
export async function exportHoldingsCsv(
	db: Reader,
	from: number,
	atOnce = COPIES_AT_ONCE
): Promise<FilePart> {
	const owned = await ownedReleases(db);
	const parts = [];
	let copies = 0;
	let at = from;
	for (; at < owned.length && copies < atOnce; at++) {
		const [part] = await partOf(db, owned[at]?.key ?? '');
		if (!part) continue;
		parts.push(part);
		copies += part.copies.length;
	}
	return {
		text: formatHoldingsCsv(parts, from === 0),
		next: at < owned.length ? at : null
	};
}

/** The same as a workbook; more copies than it can hold are told. */
export async function exportHoldingsXlsx(db: Reader): Promise<Outcome<Uint8Array<ArrayBuffer>>> {
	const parts = [];
	let copies = 0;
	for (const { key } of await ownedReleases(db)) {
		for (const part of await partOf(db, key)) {
			parts.push(part);
			copies += part.copies.length;
		}
		if (copies > MOST_IN_WORKBOOK) {
			const message = `more than ${MOST_IN_WORKBOOK} rows are too many for a workbook`;
			return bad([{ message, remedy: 'Take them as CSV, which spreadsheets open, too.' }]);
		}
	}
	return good(await writeXlsx('Holdings', holdingsTable(parts)));
}
