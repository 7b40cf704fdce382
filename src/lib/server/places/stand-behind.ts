import { and, eq } from 'drizzle-orm';
import type { CardBulk } from '../../core/storage/room/card-bulk.ts';
import type { Transaction } from '../database/open.ts';
import { boxCards, copies } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';

/** Stands cards of copies behind a divider, beside those of the same copies that are there. */
export async function standBehind(
	record: Recorder,
	tx: Transaction,
	dividerId: number,
	cards: readonly (CardBulk & { readonly copyId: number; readonly quantity: number })[]
): Promise<void> {
	if (cards.length === 0) return;
	const there = await tx.select().from(boxCards).where(eq(boxCards.dividerId, dividerId));
	const rowOf = new Map(there.map((row) => [row.copyId, row]));
	for (const { copyId, quantity } of cards) {
		const row = rowOf.get(copyId);
		if (row) await record.update(boxCards, row.id, { quantity: row.quantity + quantity });
	}
	const fresh = cards.filter(({ copyId }) => !rowOf.has(copyId));
	await record.insert(
		boxCards,
		fresh.map(({ copyId, quantity, um, mg }) => ({ dividerId, copyId, quantity, um, mg }))
	);
}

/** Takes cards of a copy out of boxes: from one divider, or from wherever they stand. How many came out. */
export async function takeOut(
	record: Recorder,
	tx: Transaction,
	copyId: number,
	quantity: number,
	dividerId?: number
): Promise<number> {
	const rows = await tx
		.select()
		.from(boxCards)
		.where(
			dividerId === undefined
				? eq(boxCards.copyId, copyId)
				: and(eq(boxCards.copyId, copyId), eq(boxCards.dividerId, dividerId))
		);
	let left = quantity;
	for (const row of rows) {
		const taken = Math.min(left, row.quantity);
		if (taken === 0) break;
		left -= taken;
		if (taken === row.quantity) await record.remove(boxCards, [row.id]);
		else await record.update(boxCards, row.id, { quantity: row.quantity - taken });
	}
	return quantity - left;
}

/** One card of a pile became a copy of its own: where all of the pile stood in boxes, it stands there still. */
export async function passOn(
	record: Recorder,
	tx: Transaction,
	fromId: number,
	toId: number
): Promise<void> {
	const rows = await tx.select().from(boxCards).where(eq(boxCards.copyId, fromId));
	const [pile] = await tx.select().from(copies).where(eq(copies.id, fromId));
	const [first] = rows;
	const standing = rows.reduce((sum, { quantity }) => sum + quantity, 0);
	if (!first || !pile || standing <= pile.quantity) return;
	const { id: _, ...place } = first;
	await takeOut(record, tx, fromId, 1, first.dividerId);
	await record.insert(boxCards, [{ ...place, copyId: toId, quantity: 1 }]);
}
