import { asc, inArray } from 'drizzle-orm';
import type { GoalOrder } from '../../core/binder/binder-layout.ts';
import type { BinderId, GoalId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { binderGoals, binders } from '../database/tables/index.ts';

/** A goal that a binder holds; `order`: of its cards where it is laid by itself. */
export interface BinderGoal {
	readonly goalId: GoalId;
	readonly order: GoalOrder | null;
}

/** The goals that binders hold, in the order in which they lie; all binders where none are named. */
export async function goalsOfBinders(
	db: Reader,
	ids?: readonly BinderId[]
): Promise<ReadonlyMap<BinderId, readonly BinderGoal[]>> {
	const planned = await db
		.select({ id: binders.id, goalId: binders.goalId })
		.from(binders)
		.where(ids && inArray(binders.id, [...ids]));
	const rows = await db
		.select()
		.from(binderGoals)
		.where(ids && inArray(binderGoals.binderId, [...ids]))
		.orderBy(asc(binderGoals.position));
	const held = new Map<BinderId, BinderGoal[]>(planned.map(({ id }) => [id, []]));
	for (const { binderId, goalId, order } of rows) held.get(binderId)?.push({ goalId, order });
	for (const { id, goalId } of planned) {
		const goals = held.get(id) ?? [];
		// A binder that holds a single goal needs no row for it.
		if (!goals.some((goal) => goal.goalId === goalId)) goals.unshift({ goalId, order: null });
	}
	return held;
}
