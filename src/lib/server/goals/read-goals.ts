import { group } from 'd3-array';
import { asc, eq, isNull } from 'drizzle-orm';
import type { NextBest } from '../../core/goal/next-best.ts';
import type { GoalChoice } from '../../core/goal/goal-rules.ts';
import { totalProgress, type ProgressRow } from '../../core/goal/progress.ts';
import type { Reader } from '../database/open.ts';
import { goalHistory, goalNext, goalProgress, goals, releases } from '../database/tables/index.ts';
import { workOutGoals, type GoalState } from './work-out-goals.ts';
import type { GoalId, ReleaseId } from '../../core/row-id.ts';

/** A goal as lists show it, from its summary rows. */
export interface GoalSummary {
	readonly id: GoalId;
	readonly name: string;
	readonly rules: GoalChoice;
	/** Its home. */
	readonly releaseKey: string;
	readonly releaseName: string;
	readonly rows: readonly ProgressRow[];
	readonly have: number;
	readonly need: number;
	/** What is best done next; null where nothing is begun, or nothing is missing. */
	readonly next: NextBest | null;
}

export async function listGoals(db: Reader): Promise<readonly GoalSummary[]> {
	const heads = await db
		.select({
			id: goals.id,
			name: goals.name,
			rules: goals.rules,
			releaseKey: releases.key,
			releaseName: releases.name,
			next: { name: goalNext.name, left: goalNext.left, text: goalNext.text }
		})
		.from(goals)
		.innerJoin(releases, eq(goals.releaseId, releases.id))
		.leftJoin(goalNext, eq(goalNext.goalId, goals.id))
		.orderBy(asc(goals.id));
	const progress = await db.select().from(goalProgress).orderBy(asc(goalProgress.position));
	const progressOf = group(progress, ({ goalId }) => goalId);
	return heads.map((head) => {
		const rows = (progressOf.get(head.id) ?? []).map(
			({ releaseKey, sectionKey, parallelKey, have, need }) => ({
				releaseKey,
				sectionKey,
				parallelKey: parallelKey || null,
				have,
				need
			})
		);
		const next = head.next?.name ? head.next : null;
		return { ...head, next, rows, ...totalProgress(rows) };
	});
}

/** One goal worked out whole; null where there is none. */
export async function readGoal(db: Reader, id: GoalId): Promise<GoalState | null> {
	const [state] = await workOutGoals(db, (goal) => goal.id === id);
	return state ?? null;
}

/** How far a goal was, day by day. */
export async function readHistory(db: Reader, id: GoalId) {
	return db
		.select({ day: goalHistory.day, have: goalHistory.have, need: goalHistory.need })
		.from(goalHistory)
		.where(eq(goalHistory.goalId, id))
		.orderBy(asc(goalHistory.day));
}

/** Goals of a collection made before the summary told what is next: worked out once, when it is opened. */
export async function goalsWithoutNext(db: Reader): Promise<readonly ReleaseId[]> {
	const rows = await db
		.select({ releaseId: goals.releaseId })
		.from(goals)
		.leftJoin(goalNext, eq(goalNext.goalId, goals.id))
		.where(isNull(goalNext.goalId));
	return [...new Set(rows.map(({ releaseId }) => releaseId))];
}
