import { sqliteTable, integer, text, primaryKey } from 'drizzle-orm/sqlite-core';
import type { GoalId } from '../../../core/row-id.ts';
import { goals } from './goals.ts';

/** Summary rows: how far a goal is by section and finish, refreshed in the write that changes it. */
export const goalProgress = sqliteTable(
	'goal_progress',
	{
		goalId: integer()
			.$type<GoalId>()
			.notNull()
			.references(() => goals.id, { onDelete: 'cascade' }),
		releaseKey: text().notNull(),
		sectionKey: text().notNull(),
		/** '' for the base finish: a key of the table cannot be null. */
		parallelKey: text().notNull(),
		position: integer().notNull(),
		have: integer().notNull(),
		need: integer().notNull()
	},
	(table) => [
		primaryKey({
			columns: [table.goalId, table.releaseKey, table.sectionKey, table.parallelKey]
		})
	]
);
