import { inArray } from 'drizzle-orm';
import type { Transaction } from '../database/open.ts';
import { binderPockets, binders } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import type { BinderId, GoalId } from '../../core/row-id.ts';

/** Removes binders with what is known to lie in them; no copy is touched. */
export async function removeBinderRows(
	record: Recorder,
	tx: Transaction,
	ids: readonly BinderId[]
): Promise<void> {
	const lying = await tx
		.select({ id: binderPockets.id })
		.from(binderPockets)
		.where(inArray(binderPockets.binderId, [...ids]));
	await record.remove(
		binderPockets,
		lying.map(({ id }) => id)
	);
	await record.remove(binders, ids);
}

/** Removes the binders planned from goals. */
export async function removeBindersOf(
	record: Recorder,
	tx: Transaction,
	goalIds: readonly GoalId[]
): Promise<void> {
	const rows = await tx
		.select({ id: binders.id })
		.from(binders)
		.where(inArray(binders.goalId, [...goalIds]));
	await removeBinderRows(
		record,
		tx,
		rows.map(({ id }) => id)
	);
}
