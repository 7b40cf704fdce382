import { sum } from 'd3-array';
import { asc, eq } from 'drizzle-orm';
import { takeStock } from '../../../core/storage/stock-take/take-stock.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import { outOf } from '../../copies/outings.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Collection, Reader } from '../../database/open.ts';
import { boxes, discrepancies, dividers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readDividers } from '../room/read-box.ts';
import type { DividerId } from '../../../core/row-id.ts';

/** What a stock-take of a divider found. */
export interface StockTaken {
	readonly notThere: number;
	readonly notRecorded: number;
}

/**
 * Compares what is recorded behind a divider with what was found there, and opens a discrepancy for
 * each version that differs. `line`: an entry line of what stands there; null: all of it, as recorded.
 * Discrepancies of an earlier take are dropped: the new one knows better.
 */
export function checkDivider(
	collection: Collection,
	id: DividerId,
	release: string | null,
	line: string | null
): Promise<Outcome<StockTaken>> {
	return makeChange(collection, async (record, tx) => {
		const [divider] = await readDividers(tx, { ids: [id] });
		if (!divider) {
			return refused([{ message: 'there is no such divider', remedy: 'Undo brings it back.' }]);
		}
		const cards = divider.standing.filter((card) => release === null || card.release === release);
		const away = await outOf(tx);
		const out = cards.flatMap(({ copyId, version, quantity }) => {
			const count = Math.min(quantity, away.get(copyId) ?? 0);
			return count > 0 ? [{ version, quantity: count }] : [];
		});
		const found =
			line === null ? null : await readEntry(tx, release ?? cards[0]?.release ?? '', line);
		if (found && !found.ok) return refused(found.problems);
		const differences = found ? takeStock(cards, found.value.additions, out) : [];
		const before = await tx
			.select({ id: discrepancies.id })
			.from(discrepancies)
			.where(eq(discrepancies.dividerId, id));
		await record.remove(
			discrepancies,
			before.map((row) => row.id)
		);
		await record.insert(
			discrepancies,
			differences.flatMap(({ version, quantity, sort }): (typeof discrepancies.$inferInsert)[] => {
				const row = { sort, dividerId: id, version, at: collection.now() };
				if (sort === 'not recorded') return [{ ...row, copyId: null, quantity }];
				// What is missing of a version is missing of its copies, the last recorded first.
				let left = quantity;
				return [...cards]
					.filter((card) => card.version === version)
					.reverse()
					.flatMap((card) => {
						const count = Math.min(left, card.quantity);
						left -= count;
						return count > 0 ? [{ ...row, copyId: card.copyId, quantity: count }] : [];
					});
			})
		);
		await record.update(dividers, id, { checkedAt: collection.now() });
		const count = (sort: string) =>
			sum(
				differences.filter((difference) => difference.sort === sort),
				({ quantity }) => quantity
			);
		const value = { notThere: count('not there'), notRecorded: count('not recorded') };
		return { value: good(value), label: `Stock-take of ${divider.label}` };
	});
}

/** Open discrepancies with where they were found, oldest first. */
export async function listDiscrepancies(db: Reader) {
	return db
		.select({
			id: discrepancies.id,
			sort: discrepancies.sort,
			version: discrepancies.version,
			quantity: discrepancies.quantity,
			at: discrepancies.at,
			copyId: discrepancies.copyId,
			dividerId: discrepancies.dividerId,
			divider: dividers.label,
			row: dividers.row,
			boxId: boxes.id,
			box: boxes.name
		})
		.from(discrepancies)
		.leftJoin(dividers, eq(discrepancies.dividerId, dividers.id))
		.leftJoin(boxes, eq(dividers.boxId, boxes.id))
		.orderBy(asc(discrepancies.id));
}
