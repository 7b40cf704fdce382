import { eq } from 'drizzle-orm';
import { progressOf, totalProgress } from '../../core/goal/progress.ts';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import { goalHistory, goalProgress } from '../database/tables/index.ts';
import { workOutGoals } from './work-out-goals.ts';

/** Fills the goals that go over these releases again, replaces their summary rows, and notes the day. */
export async function refreshProgress(
	tx: Transaction,
	releaseIds: readonly number[],
	now: string
): Promise<void> {
	const touched = new Set(releaseIds);
	if (touched.size === 0) return;
	const states = await workOutGoals(tx, (goal, ids) =>
		[goal.releaseId, ...ids].some((id) => touched.has(id))
	);
	for (const { goal, slots, filling } of states) {
		const progress = progressOf(slots, filling);
		const rows = progress.map((row, position) => ({
			...row,
			goalId: goal.id,
			parallelKey: row.parallelKey ?? '',
			position
		}));
		await tx.delete(goalProgress).where(eq(goalProgress.goalId, goal.id));
		for (const some of chunks(rows, 500)) await tx.insert(goalProgress).values(some);
		const total = totalProgress(progress);
		await tx
			.insert(goalHistory)
			.values({ goalId: goal.id, day: now.slice(0, 10), ...total })
			.onConflictDoUpdate({ target: [goalHistory.goalId, goalHistory.day], set: total });
	}
}
