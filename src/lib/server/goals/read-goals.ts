import { asc, eq } from 'drizzle-orm';
import type { GoalChoice } from '../../core/goal/goal-rules.ts';
import { totalProgress, type ProgressRow } from '../../core/goal/progress.ts';
import type { Reader } from '../database/open.ts';
import { goalHistory, goalProgress, goals, releases } from '../database/tables/index.ts';
import { workOutGoals, type GoalState } from './work-out-goals.ts';

/** A goal as lists show it, from its summary rows. */
export interface GoalSummary {
	readonly id: number;
	readonly name: string;
	readonly rules: GoalChoice;
	/** Its home. */
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
			.map(({ releaseKey, sectionKey, parallelKey, have, need }) => ({
				releaseKey,
				sectionKey,
				parallelKey: parallelKey || null,
				have,
				need
			}));
		return { ...head, rows, ...totalProgress(rows) };
	});
}

/** One goal worked out whole; null where there is none. */
export async function readGoal(db: Reader, id: number): Promise<GoalState | null> {
	const [state] = await workOutGoals(db, (goal) => goal.id === id);
	return state ?? null;
}

/** How far a goal was, day by day. */
export async function readHistory(db: Reader, id: number) {
	return db
		.select({ day: goalHistory.day, have: goalHistory.have, need: goalHistory.need })
		.from(goalHistory)
		.where(eq(goalHistory.goalId, id))
		.orderBy(asc(goalHistory.day));
}
