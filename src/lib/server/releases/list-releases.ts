import { asc, count, isNotNull, sum } from 'drizzle-orm';
import { cardsOf } from '../../core/checklist/release.ts';
import type { Reader } from '../database/open.ts';
import { cards, copies, parallels, releases, sections } from '../database/tables/index.ts';
import { loadReleases } from './load-release.ts';

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
	const editions = await db
		.selectDistinct({ id: sections.releaseId })
		.from(sections)
		.where(isNotNull(sections.edition));
	// Cards of an edition follow from its rule; they are not stored.
	const whole = await loadReleases(
		db,
		editions.map(({ id }) => id)
	);
	const wholeCounts = new Map(whole.map(({ id, release }) => [id, cardsOf(release).length]));
	const of = (rows: readonly { id: number; count: number }[], id: number) =>
		rows.find((row) => row.id === id)?.count ?? 0;
	return heads.map(({ id, key, name, maker, year }) => ({
		key,
		name,
		maker,
		year,
		cards: wholeCounts.get(id) ?? of(cardCounts, id),
		parallels: of(parallelCounts, id),
		owned: of(ownedCounts, id)
	}));
}

/** Only what a choice of releases shows, in the same order. */
export async function listReleaseNames(
	db: Reader
): Promise<readonly (Pick<ReleaseSummary, 'key' | 'name'> & { readonly id: number })[]> {
	return db
		.select({ id: releases.id, key: releases.key, name: releases.name })
		.from(releases)
		.orderBy(asc(releases.year), asc(releases.name));
}

export async function countReleases(db: Reader): Promise<number> {
	const [row] = await db.select({ count: count() }).from(releases);
	return row?.count ?? 0;
}
