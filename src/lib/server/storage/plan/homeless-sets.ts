import { rollup, sum } from 'd3-array';
import { and, count, countDistinct, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import type { ShelvedSet } from '../../../core/storage/plan/plan-boxes.ts';
import { UM_A_PT } from '../../../core/measuring/stock.ts';
import type { Reader } from '../../database/open.ts';
import type { releases } from '../../database/tables/index.ts';
import { binderPockets, boxCards, cards, copies } from '../../database/tables/index.ts';
import { isHere } from '../../places/homeless.ts';
import { keptAs, keptColumns } from '../../places/kept-columns.ts';

/** Cards of a release that are kept in boxes of one use and have no place yet. */
export interface HomelessSet extends ShelvedSet {
	readonly id: number;
	readonly use: BoxUse;
}

type Head = typeof releases.$inferSelect;

/**
 * What of some releases has no place, by use. A set is as complete as the share of its cards of which there
 * is a copy in any version; cards of editions, which are rules, are not counted. Its stock is the mean of
 * its cards with their holders.
 */
export async function homelessSets(
	db: Reader,
	heads: readonly Head[],
	valuable: number
): Promise<readonly HomelessSet[]> {
	const ids = heads.map(({ id }) => id);
	const columns = keptColumns(valuable);
	const features = [copies.releaseId, ...Object.values(columns)];
	const here = and(isHere, isNull(copies.place), inArray(copies.releaseId, ids));
	const owned = await db
		.select({
			id: copies.releaseId,
			...columns,
			cards: sql<number>`sum(${copies.quantity})`,
			numbers: countDistinct(copies.cardKey)
		})
		.from(copies)
		.where(here)
		.groupBy(...features);
	const standing = await db
		.select({ id: copies.releaseId, ...columns, cards: sql<number>`sum(${boxCards.quantity})` })
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.where(here)
		.groupBy(...features);
	const laid = await db
		.select({ id: copies.releaseId, ...columns, cards: count() })
		.from(binderPockets)
		.innerJoin(copies, eq(binderPockets.copyId, copies.id))
		.where(here)
		.groupBy(...features);
	const listed = await db
		.select({ id: cards.releaseId, cards: count() })
		.from(cards)
		.where(inArray(cards.releaseId, ids))
		.groupBy(cards.releaseId);
	const needOf = new Map(listed.map((row) => [row.id, row.cards]));
	const parts = [
		...owned.map((row) => ({ ...row, ...keptAs(row) })),
		...standing.map((row) => ({ ...row, ...keptAs(row), cards: -row.cards, numbers: 0 })),
		...laid.map((row) => ({ ...row, ...keptAs(row), cards: -row.cards, numbers: -row.cards }))
	];
	const sums = rollup(
		parts,
		(own) => ({
			cards: sum(own, (part) => part.cards),
			um: sum(own, (part) => part.cards * part.um),
			// Sections group numbers; so do holders, by which a number may be counted twice.
			numbers: sum(own, ({ numbers }) => numbers),
			inPockets: -sum(own, ({ numbers }) => Math.min(0, numbers))
		}),
		({ id }) => id,
		({ use }) => use
	);
	return heads.flatMap(({ id, key, name, year, maker, theme }) =>
		[...(sums.get(id) ?? [])].flatMap(([use, own]): HomelessSet[] => {
			if (own.cards <= 0) return [];
			const need =
				use === 'sets' ? Math.max(0, (needOf.get(id) ?? 0) - own.inPockets) : own.numbers;
			return [
				{
					id,
					key,
					name,
					year,
					maker,
					use,
					...(theme === null ? {} : { theme }),
					cards: own.cards,
					need,
					have: Math.max(0, Math.min(need, own.numbers, own.cards)),
					stockPt: own.um / own.cards / UM_A_PT
				}
			];
		})
	);
}
