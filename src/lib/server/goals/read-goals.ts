import { asc, eq } from 'drizzle-orm';
import type { GoalRules } from '../../core/goal/scope-goal.ts';
import { totalProgress, type ProgressRow } from '../../core/goal/progress.ts';
import { readCopies } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { goalProgress, goals, releases } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';
import { goalState } from './goal-state.ts';

/** A goal as lists show it, from its summary rows. */
export interface GoalSummary {
	readonly id: number;
	readonly name: string;
	readonly rules: GoalRules;
	readonly releaseKey: string;
	readonly releaseName: string;
	readonly rows: readonly ProgressRow[];
	readonly have: number;
	readonly need: number;
}

export async function listGoals(db: Reader): Promise<readonly GoalSummary[]> {
	const heads = await db
		.select({
			id: goals.id,
			name: goals.name,
			rules: goals.rules,
			releaseKey: releases.key,
			releaseName: releases.name
		})
		.from(goals)
		.innerJoin(releases, eq(goals.releaseId, releases.id))
		.orderBy(asc(goals.id));
	const progress = await db.select().from(goalProgress).orderBy(asc(goalProgress.position));
	return heads.map((head) => {
		const rows = progress
			.filter(({ goalId }) => goalId === head.id)
			.map(({ sectionKey, parallelKey, have, need }) => ({
				sectionKey,
				parallelKey: parallelKey || null,
				have,
				need
			}));
		return { ...head, rows, ...totalProgress(rows) };
	});
}

/** One goal worked out whole, with its release and the copies that fill it; null where there is none. */
export async function readGoal(db: Reader, id: number) {
	const [goal] = await db.select().from(goals).where(eq(goals.id, id));
	if (!goal) return null;
	const [stored] = await loadReleases(db, [goal.releaseId]);
	if (!stored) throw new RangeError(`readGoal: the release of goal ${id} is gone`);
	const copies = await readCopies(db, goal.releaseId);
	return {
		goal,
		release: stored.release,
		copies,
		...goalState(stored.release, goal.rules, copies)
	};
}
