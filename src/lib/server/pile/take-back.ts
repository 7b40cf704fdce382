import { rollup } from 'd3-array';
import { and, eq, inArray } from 'drizzle-orm';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { PileCardId } from '../../core/row-id.ts';
import { countPile } from '../copies/trays.ts';
import type { Collection, Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import { copies, pileCards, trayPiles } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { removeCopyRows } from '../removal/remove-copy-rows.ts';

type PileCardRow = typeof pileCards.$inferSelect;

/**
 * Takes cards back that were laid down by mistake, whatever else was done since: their copies grow fewer,
 * and they wait in the tray again that they came from.
 */
export function takeBackPileCards(
	collection: Collection,
	ids: readonly PileCardId[]
): Promise<Outcome<{ readonly cards: number }>> {
	return makeChange(collection, async (record, tx) => {
		const found = await findPileCards(tx, ids);
		if (!found.ok) return refused(found.problems);
		const rows = found.value;
		await unlog(record, tx, rows);
		for (const [pileId, count] of countBy(rows, ({ pileId }) => pileId)) {
			const [pile] = await tx.select().from(trayPiles).where(eq(trayPiles.id, pileId));
			const [from] = await tx
				.select()
				.from(trayPiles)
				.where(and(eq(trayPiles.tray, 'to log'), eq(trayPiles.name, pile?.name ?? '')));
			if (from) await countPile(record, tx, from.id, count);
			await countPile(record, tx, pileId, -count);
		}
		const what = rows.length === 1 ? 'a card' : `${rows.length} cards`;
		return { value: good({ cards: rows.length }), label: `Take ${what} back from the pile` };
	});
}

/** Cards that lie on a pile; any that is gone is a problem. */
export async function findPileCards(
	tx: Transaction,
	ids: readonly PileCardId[]
): Promise<Outcome<readonly PileCardRow[]>> {
	const rows = await tx
		.select()
		.from(pileCards)
		.where(inArray(pileCards.id, [...ids]));
	if (rows.length === new Set(ids).size) return good(rows);
	const remedy = 'It may have been handed over or taken back already: reload the page.';
	return bad([{ message: 'this card lies on the pile no more', remedy }]);
}

/** Takes cards off their pile, and their copies out of the collection. */
export async function unlog(
	record: Recorder,
	tx: Transaction,
	rows: readonly PileCardRow[]
): Promise<void> {
	await record.remove(
		pileCards,
		rows.map(({ id }) => id)
	);
	for (const [copyId, count] of countBy(rows, (row) => row.copyId)) {
		const [copy] = await tx.select().from(copies).where(eq(copies.id, copyId));
		if (!copy) continue;
		const quantity = copy.quantity - count;
		if (quantity > 0) await record.update(copies, copyId, { quantity });
		else await removeCopyRows(record, tx, [copyId]);
	}
}

const countBy = <Key>(rows: readonly PileCardRow[], of: (row: PileCardRow) => Key) =>
	rollup(rows, (same) => same.length, of);
