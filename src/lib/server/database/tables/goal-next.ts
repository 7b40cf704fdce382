import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { GoalId } from '../../../core/row-id.ts';
import { goals } from './goals.ts';

/** What is best done next in a goal, as lists show it; derived, and refreshed with its progress. */
export const goalNext = sqliteTable('goal_next', {
	goalId: integer()
		.$type<GoalId>()
		.primaryKey()
		.references(() => goals.id, { onDelete: 'cascade' }),
	/** "Storm Watch, Brass"; empty where nothing is begun, or nothing is missing. */
	name: text().notNull(),
	left: integer().notNull(),
	/** The numbers that are missing there. */
	text: text().notNull()
});
