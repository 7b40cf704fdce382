import { sqliteTable, integer, text, primaryKey } from 'drizzle-orm/sqlite-core';
import type { GoalId } from '../../../core/row-id.ts';
import { goals } from './goals.ts';

/** How far a goal was at the end of each day on which that changed. */
export const goalHistory = sqliteTable(
	'goal_history',
	{
		goalId: integer()
			.$type<GoalId>()
			.notNull()
			.references(() => goals.id, { onDelete: 'cascade' }),
		/** ISO 8601 date */
		day: text().notNull(),
		have: integer().notNull(),
		need: integer().notNull()
	},
	(table) => [primaryKey({ columns: [table.goalId, table.day] })]
);
