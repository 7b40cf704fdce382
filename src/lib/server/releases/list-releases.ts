import { asc, count, eq, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { Reader } from '../database/open.ts';
import { releases, releaseTotals } from '../database/tables/index.ts';
import type { ReleaseId } from '../../core/row-id.ts';

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
	const zero = (column: SQLiteColumn) => sql<number>`coalesce(${column}, 0)`;
	return db
		.select({
			key: releases.key,
			name: releases.name,
			maker: releases.maker,
			year: releases.year,
			cards: zero(releaseTotals.cards),
			parallels: zero(releaseTotals.parallels),
			owned: zero(releaseTotals.owned)
		})
		.from(releases)
		.leftJoin(releaseTotals, eq(releaseTotals.releaseId, releases.id))
		.orderBy(asc(releases.year), asc(releases.name));
}

/** Only what a choice of releases shows, in the same order. */
export async function listReleaseNames(
	db: Reader
): Promise<readonly (Pick<ReleaseSummary, 'key' | 'name'> & { readonly id: ReleaseId })[]> {
	return db
		.select({ id: releases.id, key: releases.key, name: releases.name })
		.from(releases)
		.orderBy(asc(releases.year), asc(releases.name));
}

export async function countReleases(db: Reader): Promise<number> {
	const [row] = await db.select({ count: count() }).from(releases);
	return row?.count ?? 0;
}
