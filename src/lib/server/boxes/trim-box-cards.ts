import { eq, inArray, sql } from 'drizzle-orm';
import type { Transaction } from '../database/open.ts';
import { boxCards, copies } from '../database/tables/index.ts';
import type { Recorder } from '../journal/record.ts';
import { takeOut } from './stand-behind.ts';

/** Keeps it true that no more cards of a copy stand in boxes than there are: what is too many comes out. */
export async function trimBoxCards(
	record: Recorder,
	tx: Transaction,
	releaseIds: readonly number[]
): Promise<void> {
	if (releaseIds.length === 0) return;
	const over = await tx
		.select({
			copyId: copies.id,
			over: sql<number>`sum(${boxCards.quantity}) - ${copies.quantity}`
		})
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.where(inArray(copies.releaseId, [...releaseIds]))
		.groupBy(copies.id)
		.having(sql`sum(${boxCards.quantity}) > ${copies.quantity}`);
	for (const { copyId, over: count } of over) await takeOut(record, tx, copyId, count);
}
