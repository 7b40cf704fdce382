import { sqliteTable, index, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { BinderId, GoalId } from '../../../core/row-id.ts';
import type { GoalOrder } from '../../../core/binder/binder-layout.ts';
import { binders } from './binders.ts';
import { goals } from './goals.ts';

/** The goals that a binder holds, where it holds more than the one it was planned for. */
export const binderGoals = sqliteTable(
	'binder_goals',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		binderId: integer()
			.$type<BinderId>()
			.notNull()
			.references(() => binders.id),
		goalId: integer()
			.$type<GoalId>()
			.notNull()
			.references(() => goals.id),
		/** In which order they lie, from 0. */
		position: integer().notNull(),
		/** The order of its cards where it is laid by itself; null: together with the others. */
		order: text().$type<GoalOrder>()
	},
	(table) => [
		uniqueIndex('binder_goals_goal').on(table.binderId, table.goalId),
		index('binder_goals_of_goal').on(table.goalId)
	]
);
