import { inArray } from 'drizzle-orm';
import type { Transaction } from '../database/open.ts';
import { binderGoals, binderPockets, binders, blockNotes } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import { goalsOfBinders } from '../held-goals/goals-of-binders.ts';
import { holdGoals } from '../held-goals/hold-goals.ts';
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
	const held = await tx
		.select({ id: binderGoals.id })
		.from(binderGoals)
		.where(inArray(binderGoals.binderId, [...ids]));
	await record.remove(
		binderGoals,
		held.map(({ id }) => id)
	);
	const notes = await tx
		.select({ id: blockNotes.id })
		.from(blockNotes)
		.where(inArray(blockNotes.binderId, [...ids]));
	await record.remove(
		blockNotes,
		notes.map(({ id }) => id)
	);
	await record.remove(binders, ids);
}

/** Takes goals out of the binders that hold them; a binder that holds nothing else goes with them. */
export async function removeFromBinders(
	record: Recorder,
	tx: Transaction,
	goalIds: readonly GoalId[]
): Promise<void> {
	const isGone = new Set(goalIds);
	const empty: BinderId[] = [];
	for (const [id, held] of await goalsOfBinders(tx)) {
		if (!held.some(({ goalId }) => isGone.has(goalId))) continue;
		const left = held.filter(({ goalId }) => !isGone.has(goalId));
		if (left.length === 0) empty.push(id);
		else await holdGoals(record, tx, id, left);
	}
	await removeBinderRows(record, tx, empty);
}
