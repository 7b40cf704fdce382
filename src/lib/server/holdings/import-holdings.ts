import { asc, count, eq, inArray } from 'drizzle-orm';
import type { HoldingRow } from '../../core/holdings/holding-row.ts';
import { matchHoldings, type HoldingsMatch } from '../../core/holdings/match-holdings.ts';
import { matchSet } from '../../core/holdings/match-sets.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Collection, Reader } from '../database/open.ts';
import { copies, releases, unmatchedRows } from '../database/tables/index.ts';
import { fieldsAsRow, placeOf } from '../copies/copy-rows.ts';
import { makeChange } from '../journal/change.ts';
import { loadReleases, type StoredRelease } from '../releases/load-release.ts';
import type { ReleaseId, UnmatchedId } from '../../core/row-id.ts';

/** Candidates that are looked at for each set a list names. */
const CANDIDATES = 5;

/** Gives the rows of a list to the cards of the collection; only checklists that may be meant are read. */
export async function matchInCollection(
	db: Reader,
	rows: readonly HoldingRow[],
	choices: Readonly<Record<string, string>>
): Promise<HoldingsMatch> {
	return matchHoldings(
		rows,
		(await candidatesOfRows(db, rows, choices)).map(({ release }) => release),
		choices
	);
}

/** The checklists that rows of a list may be of, and those that were chosen. */
export async function candidatesOfRows(
	db: Reader,
	rows: readonly HoldingRow[],
	choices: Readonly<Record<string, string>>
): Promise<readonly StoredRelease[]> {
	const heads = await db
		.select({
			id: releases.id,
			key: releases.key,
			name: releases.name,
			maker: releases.maker,
			year: releases.year
		})
		.from(releases);
	const wanted = new Set(Object.values(choices));
	const seen = new Set<string>();
	for (const row of rows) {
		const name = `${row.year}|${row.maker}|${row.set}`;
		if (seen.has(name)) continue;
		seen.add(name);
		for (const { key } of matchSet(row, heads).slice(0, CANDIDATES)) wanted.add(key);
	}
	return loadReleases(
		db,
		heads.filter(({ key }) => wanted.has(key)).map(({ id }) => id)
	);
}

/**
 * Takes holdings in, in one step that undo takes back whole: what matches becomes copies, what does
 * not is kept to be settled. `source` names the file.
 */
export function importHoldings(
	collection: Collection,
	source: string,
	rows: readonly HoldingRow[],
	choices: Readonly<Record<string, string>>
): Promise<{ readonly copies: number; readonly unmatched: number }> {
	return makeChange(collection, async (record, tx) => {
		const { matched, unmatched } = await matchInCollection(tx, rows, choices);
		const ids = await idsOf(
			tx,
			matched.map(({ version }) => parseVersionKey(version)?.release ?? '')
		);
		const releaseOf = (version: string): ReleaseId => {
			const id = ids.get(parseVersionKey(version)?.release ?? '');
			if (id === undefined) throw new RangeError(`importHoldings: no release of ${version}`);
			return id;
		};
		const loggedAt = collection.now();
		await record.insert(
			copies,
			matched.map(({ version, fields }) => ({
				...placeOf(releaseOf(version), version),
				loggedAt,
				...fieldsAsRow(fields),
				quantity: fields.quantity
			}))
		);
		const byLine = new Map(rows.map((row) => [row.line, row]));
		await record.insert(
			unmatchedRows,
			unmatched.map(({ line, reason }) => ({
				source,
				line,
				reason,
				fields: textOf(byLine.get(line))
			}))
		);
		const count = `${matched.length} ${matched.length === 1 ? 'row' : 'rows'}`;
		return {
			value: { copies: matched.length, unmatched: unmatched.length },
			label: `Import holdings from ${source}: ${count}`
		};
	});
}

async function idsOf(db: Reader, keys: readonly string[]): Promise<ReadonlyMap<string, ReleaseId>> {
	const rows = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, [...new Set(keys)]));
	return new Map(rows.map(({ key, id }) => [key, id]));
}

/** A row as it is kept to be settled. */
function textOf(row: HoldingRow | undefined): Readonly<Record<string, string>> {
	if (!row) throw new RangeError('textOf: no such row');
	const { line: _l, fields, attributes, ...names } = row;
	return {
		...names,
		attributes: attributes.join('; '),
		...Object.fromEntries(
			Object.entries<unknown>(fields).flatMap(([name, value]) =>
				['string', 'number', 'boolean'].includes(typeof value) ? [[name, String(value)]] : []
			)
		)
	};
}

/** The first rows that wait to be settled, and how many there are. */
export async function listUnmatched(db: Reader, most: number) {
	const rows = await db.select().from(unmatchedRows).orderBy(asc(unmatchedRows.id)).limit(most);
	const [all] = await db.select({ waiting: count() }).from(unmatchedRows);
	return { rows, waiting: all?.waiting ?? 0 };
}

/** Settles a row: the copies it stood for were logged otherwise, or it is given up. Undo brings it back. */
export function dropUnmatched(collection: Collection, id: UnmatchedId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(unmatchedRows).where(eq(unmatchedRows.id, id));
		if (!row) return { value: false, label: '' };
		await record.remove(unmatchedRows, [id]);
		return { value: true, label: `Drop line ${row.line} of ${row.source}` };
	});
}
