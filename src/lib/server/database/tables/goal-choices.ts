import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { Priority } from '../../../core/buying/wants/wants-list.ts';
import type { GoalId } from '../../../core/row-id.ts';
import { goals } from './goals.ts';

/** What was decided of an unfinished goal: to buy what it lacks, or to let it go. */
export const goalChoices = sqliteTable('goal_choices', {
	id: integer().primaryKey({ autoIncrement: true }),
	goalId: integer()
		.$type<GoalId>()
		.notNull()
		.unique()
		.references(() => goals.id),
	choice: text().$type<'finish' | 'let go'>().notNull(),
	priority: integer().$type<Priority>().notNull().default(2),
	/** The most one would pay for a card of it, in minor units of the currency; null: no limit. */
	mostMinor: integer(),
	/** ISO 4217 */
	currency: text()
});
