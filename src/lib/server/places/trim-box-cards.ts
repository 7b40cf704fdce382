import { eq, inArray, sql } from 'drizzle-orm';
import type { Transaction } from '../database/open.ts';
import { boxCards, copies } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import { takeOut } from './stand-behind.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/**
 * Keeps it true that no more cards of a copy stand in boxes and lie in pockets than there are: what is too
 * many comes out of its box, as when a card is put into a binder.
 */
export async function trimBoxCards(
	record: Recorder,
	tx: Transaction,
	releaseIds: readonly ReleaseId[]
): Promise<void> {
	if (releaseIds.length === 0) return;
	const over = sql`sum(${boxCards.quantity}) - "copies"."quantity"
		+ (select count(*) from binder_pockets p where p.copy_id = "copies"."id")`;
	const rows = await tx
		.select({
			copyId: copies.id,
			over: sql<number>`${over}`
		})
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.where(inArray(copies.releaseId, [...releaseIds]))
		.groupBy(copies.id)
		.having(sql`${over} > 0`);
	for (const { copyId, over: count } of rows) await takeOut(record, tx, copyId, count);
}
