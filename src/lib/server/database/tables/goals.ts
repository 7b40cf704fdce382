import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { GoalId, ReleaseId } from '../../../core/row-id.ts';
import type { GoalChoice } from '../../../core/goal/goal-rules.ts';
import { releases } from './releases.ts';

export const goals = sqliteTable(
	'goals',
	{
		id: integer().$type<GoalId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		name: text().notNull(),
		rules: text({ mode: 'json' }).$type<GoalChoice>().notNull(),
		/** ISO 8601 */
		createdAt: text().notNull(),
		/** The day (ISO 8601) on which its rules were decided as they are; null: before that was kept. */
		decidedOn: text()
	},
	(table) => [index('goals_release').on(table.releaseId)]
);
