import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { LayoutChoice } from '../../../core/binder/binder-layout.ts';
import { goals } from './goals.ts';
import { shelves } from './shelves.ts';

export const binders = sqliteTable(
	'binders',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		goalId: integer()
			.notNull()
			.references(() => goals.id),
		name: text().notNull(),
		layout: text({ mode: 'json' }).$type<LayoutChoice>().notNull(),
		/** The shelf it stands on; null: none that is known. */
		shelfId: integer().references(() => shelves.id),
		/** ISO 8601 */
		createdAt: text().notNull()
	},
	(table) => [index('binders_goal').on(table.goalId)]
);
