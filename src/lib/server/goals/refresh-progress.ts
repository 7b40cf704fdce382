import { eq } from 'drizzle-orm';
import { progressOf } from '../../core/goal/progress.ts';
import { readCopies } from '../copies/read-copies.ts';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import { goalProgress, goals } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';
import { goalState } from './goal-state.ts';

/** Fills the goals of these releases again and replaces their summary rows. */
export async function refreshProgress(
	tx: Transaction,
	releaseIds: readonly number[]
): Promise<void> {
	for (const releaseId of new Set(releaseIds)) {
		const concerned = await tx.select().from(goals).where(eq(goals.releaseId, releaseId));
		if (concerned.length === 0) continue;
		const [stored] = await loadReleases(tx, [releaseId]);
		if (!stored) continue;
		const copies = await readCopies(tx, releaseId);
		for (const goal of concerned) {
			const { slots, filling } = goalState(stored.release, goal.rules, copies);
			const rows = progressOf(slots, filling).map((row, position) => ({
				...row,
				goalId: goal.id,
				parallelKey: row.parallelKey ?? '',
				position
			}));
			await tx.delete(goalProgress).where(eq(goalProgress.goalId, goal.id));
			for (const some of chunks(rows, 500)) await tx.insert(goalProgress).values(some);
		}
	}
}
