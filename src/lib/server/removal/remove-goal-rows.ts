import { inArray } from 'drizzle-orm';
import type { GoalId } from '../../core/row-id.ts';
import type { Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import { goalChoices, goals, priceLumps } from '../database/tables/index.ts';
import { removeFromBinders } from './remove-binder-rows.ts';

/** Removes goals with what was decided and said of them, and with the binders planned from them; no copy is touched. */
export async function removeGoalRows(
	record: Recorder,
	tx: Transaction,
	ids: readonly GoalId[]
): Promise<void> {
	await removeFromBinders(record, tx, ids);
	for (const table of [goalChoices, priceLumps] as const) {
		const rows = await tx
			.select({ id: table.id })
			.from(table)
			.where(inArray(table.goalId, [...ids]));
		await record.remove(
			table,
			rows.map(({ id }) => id)
		);
	}
	await record.remove(goals, ids);
}
