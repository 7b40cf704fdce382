import type { Tell } from '../../../core/checklist/tell.ts';
import { sqliteTable, integer, real, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** Finishes that several releases share, entered once. */
export const paletteFinishes = sqliteTable(
	'palette_finishes',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		key: text().notNull(),
		name: text().notNull(),
		look: text(),
		howToTell: text(),
		tells: text({ mode: 'json' }).$type<readonly Tell[]>(),
		channel: text(),
		stockPt: real(),
		shape: text()
	},
	(table) => [uniqueIndex('palette_finishes_key').on(table.key)]
);
