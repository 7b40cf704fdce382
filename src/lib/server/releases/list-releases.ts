import { count, inArray, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { readJoined } from '../database/read-joined.ts';
import { releases, releaseTotals } from '../database/tables/index.ts';

/** A release as lists show it. */
export interface ReleaseSummary {
	readonly key: string;
	readonly name: string;
	readonly maker: string;
	readonly year: string;
	readonly cards: number;
	readonly parallels: number;
	/** Cards owned, of any version. */
	readonly owned: number;
}

/** From summary rows, so that no list counts half a million copies. */
export async function listReleases(db: Reader): Promise<readonly ReleaseSummary[]> {
	const zero = (column: SQLiteColumn) => sql`coalesce(${column}, 0)`;
	return readJoined<ReleaseSummary>(
		db,
		{
			key: sql`${releases.key}`,
			name: sql`${releases.name}`,
			maker: sql`${releases.maker}`,
			year: sql`${releases.year}`,
			cards: zero(releaseTotals.cards),
			parallels: zero(releaseTotals.parallels),
			owned: zero(releaseTotals.owned)
		},
		sql`(select * from ${releases} order by ${releases.year}, ${releases.name}) as ${releases}
			left join ${releaseTotals} on ${releaseTotals.releaseId} = ${releases.id}`
	);
}

type ReleaseName = Pick<ReleaseSummary, 'key' | 'name'>;

/** Only what a choice of releases shows, in the same order; of very many the first. */
export async function listReleaseNames(
	db: Reader,
	most = Number.MAX_SAFE_INTEGER
): Promise<readonly ReleaseName[]> {
	return readJoined<ReleaseName>(
		db,
		{ key: sql`${releases.key}`, name: sql`${releases.name}` },
		sql`(select * from ${releases} order by ${releases.year}, ${releases.name} limit ${most}) as ${releases}`
	);
}

/** The names of some releases, by key; of those that are not there nothing. */
export async function nameReleases(
	db: Reader,
	keys: readonly string[]
): Promise<ReadonlyMap<string, string>> {
	const found = new Map<string, string>();
	for (const some of chunks([...new Set(keys)], 500)) {
		const { key, name } = releases;
		const rows = await db
			.select({ key, name })
			.from(releases)
			.where(inArray(key, [...some]));
		for (const row of rows) found.set(row.key, row.name);
	}
	return found;
}

export async function countReleases(db: Reader): Promise<number> {
	const [row] = await db.select({ count: count() }).from(releases);
	return row?.count ?? 0;
}
