import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { BinderId, GoalId, ShelfId } from '../../../core/row-id.ts';
import type { LayoutChoice } from '../../../core/binder/binder-layout.ts';
import { goals } from './goals.ts';
import { shelves } from './shelves.ts';

export const binders = sqliteTable(
	'binders',
	{
		id: integer().$type<BinderId>().primaryKey({ autoIncrement: true }),
		goalId: integer()
			.$type<GoalId>()
			.notNull()
			.references(() => goals.id),
		name: text().notNull(),
		layout: text({ mode: 'json' }).$type<LayoutChoice>().notNull(),
		/** The shelf it stands on; null: none that is known. */
		shelfId: integer()
			.$type<ShelfId>()
			.references(() => shelves.id),
		/** ISO 8601 */
		createdAt: text().notNull()
	},
	(table) => [index('binders_goal').on(table.goalId)]
);
