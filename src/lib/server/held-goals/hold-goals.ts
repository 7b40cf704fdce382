import { eq } from 'drizzle-orm';
import type { BinderId } from '../../core/row-id.ts';
import type { Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import { binderGoals, binders } from '../database/tables/index.ts';
import type { BinderGoal } from './goals-of-binders.ts';

/** Writes which goals a binder holds, in their order. */
export async function holdGoals(
	record: Recorder,
	tx: Transaction,
	id: BinderId,
	held: readonly BinderGoal[]
): Promise<void> {
	const rows = await tx
		.select({ id: binderGoals.id })
		.from(binderGoals)
		.where(eq(binderGoals.binderId, id));
	await record.remove(
		binderGoals,
		rows.map((row) => row.id)
	);
	await record.insert(
		binderGoals,
		held.map(({ goalId, order }, position) => ({ binderId: id, goalId, order, position }))
	);
	const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
	const [first] = held;
	if (first && !held.some(({ goalId }) => goalId === binder?.goalId)) {
		await record.update(binders, id, { goalId: first.goalId });
	}
}
