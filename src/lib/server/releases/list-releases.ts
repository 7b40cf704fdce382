import { asc, count, sum } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { cards, copies, parallels, releases } from '../database/tables/index.ts';

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

export async function listReleases(db: Reader): Promise<readonly ReleaseSummary[]> {
	const heads = await db.select().from(releases).orderBy(asc(releases.year), asc(releases.name));
	const cardCounts = await db
		.select({ id: cards.releaseId, count: count() })
		.from(cards)
		.groupBy(cards.releaseId);
	const parallelCounts = await db
		.select({ id: parallels.releaseId, count: count() })
		.from(parallels)
		.groupBy(parallels.releaseId);
	const ownedCounts = await db
		.select({ id: copies.releaseId, count: sum(copies.quantity).mapWith(Number) })
		.from(copies)
		.groupBy(copies.releaseId);
	const of = (rows: readonly { id: number; count: number }[], id: number) =>
		rows.find((row) => row.id === id)?.count ?? 0;
	return heads.map(({ id, key, name, maker, year }) => ({
		key,
		name,
		maker,
		year,
		cards: of(cardCounts, id),
		parallels: of(parallelCounts, id),
		owned: of(ownedCounts, id)
	}));
}

export async function countReleases(db: Reader): Promise<number> {
	const [row] = await db.select({ count: count() }).from(releases);
	return row?.count ?? 0;
}
