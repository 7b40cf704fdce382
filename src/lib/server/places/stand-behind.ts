import { group, sum } from 'd3-array';
import { and, asc, desc, eq, getTableColumns, sql } from 'drizzle-orm';
import { at } from '../../core/at.ts';
import type { CardBulk } from '../../core/storage/room/card-bulk.ts';
import type { Transaction } from '../database/open.ts';
import { boxCards, copies, dividers } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import type { CopyId, DividerId } from '../../core/row-id.ts';

/** Stands cards of copies behind a divider, beside those of the same copies that are there. */
export async function standBehind(
	record: Recorder,
	tx: Transaction,
	dividerId: DividerId,
	cards: readonly (CardBulk & { readonly copyId: CopyId; readonly quantity: number })[]
): Promise<void> {
	if (cards.length === 0) return;
	const standing = await tx.select().from(boxCards).where(eq(boxCards.dividerId, dividerId));
	const rowOf = new Map(standing.map((row) => [row.copyId, row]));
	await record.updateMany(
		boxCards,
		[...group(cards, (card) => card.copyId)].flatMap(([copyId, same]) => {
			const quantity = sum(same, (card) => card.quantity);
			const row = rowOf.get(copyId);
			return row ? [{ id: row.id, values: { quantity: row.quantity + quantity } }] : [];
		})
	);
	// Cards of one copy may come for several sets: the first and doubles among the same strays.
	const fresh = [...group(cards, ({ copyId }) => copyId).values()]
		.map((same) => ({ ...at(same, 0), quantity: sum(same, ({ quantity }) => quantity) }))
		.filter(({ copyId }) => !rowOf.has(copyId));
	await record.insert(
		boxCards,
		fresh.map(({ copyId, quantity, um, mg }) => ({ dividerId, copyId, quantity, um, mg }))
	);
}

/** Takes cards of a copy out of boxes: from one divider, or from wherever they stand. How many came out. */
export async function takeOut(
	record: Recorder,
	tx: Transaction,
	copyId: CopyId,
	quantity: number,
	dividerId?: DividerId
): Promise<number> {
	// Doubles go first, and the first set last.
	const set = sql`coalesce(${dividers.setNumber}, 0)`;
	const rows = await tx
		.select(getTableColumns(boxCards))
		.from(boxCards)
		.innerJoin(dividers, eq(boxCards.dividerId, dividers.id))
		.where(
			dividerId === undefined
				? eq(boxCards.copyId, copyId)
				: and(eq(boxCards.copyId, copyId), eq(boxCards.dividerId, dividerId))
		)
		.orderBy(desc(sql`${set} = 0`), desc(set), asc(boxCards.id));
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

/** Cards of a pile became a copy apart: those for which the pile is too small now stand where they stood. */
export async function passOn(
	record: Recorder,
	tx: Transaction,
	fromId: CopyId,
	toId: CopyId
): Promise<void> {
	const [pile] = await tx.select().from(copies).where(eq(copies.id, fromId));
	const rows = await tx.select().from(boxCards).where(eq(boxCards.copyId, fromId));
	let over = sum(rows, ({ quantity }) => quantity) - (pile?.quantity ?? 0);
	for (const { id: _, quantity, ...place } of rows) {
		const count = Math.min(over, quantity);
		if (!pile || count <= 0) break;
		over -= count;
		await takeOut(record, tx, fromId, count, place.dividerId);
		await record.insert(boxCards, [{ ...place, copyId: toId, quantity: count }]);
	}
}
