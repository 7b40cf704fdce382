import { eq } from 'drizzle-orm';
import { goalGroups } from '../../core/goal/goal-groups.ts';
import { nextBest } from '../../core/goal/next-best.ts';
import { progressOf, totalProgress } from '../../core/goal/progress.ts';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import { goalHistory, goalNext, goalProgress } from '../database/tables/index.ts';
import { refreshTotals } from '../releases/refresh-totals.ts';
import { workOutGoals } from './work-out-goals.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/**
 * Counts these releases and fills the goals that go over them again, replaces their summary rows and what is best done next,
 * and notes the day.
 */
export async function refreshProgress(
	tx: Transaction,
	releaseIds: readonly ReleaseId[],
	now: string
): Promise<void> {
	const touched = new Set(releaseIds);
	if (touched.size === 0) return;
	await refreshTotals(tx, releaseIds);
	const states = await workOutGoals(tx, (goal, ids) =>
		[goal.releaseId, ...ids].some((id) => touched.has(id))
	);
	for (const { goal, releases, slots, filling } of states) {
		const progress = progressOf(slots, filling);
		const rows = progress.map((row, position) => ({
			...row,
			goalId: goal.id,
			parallelKey: row.parallelKey ?? '',
			position
		}));
		await tx.delete(goalProgress).where(eq(goalProgress.goalId, goal.id));
		for (const some of chunks(rows, 500)) await tx.insert(goalProgress).values(some);
		const next = nextBest(goalGroups(releases, slots, filling)) ?? { name: '', left: 0, text: '' };
		await tx
			.insert(goalNext)
			.values({ goalId: goal.id, ...next })
			.onConflictDoUpdate({ target: goalNext.goalId, set: next });
		const total = totalProgress(progress);
		await tx
			.insert(goalHistory)
			.values({ goalId: goal.id, day: now.slice(0, 10), ...total })
			.onConflictDoUpdate({ target: [goalHistory.goalId, goalHistory.day], set: total });
	}
}
