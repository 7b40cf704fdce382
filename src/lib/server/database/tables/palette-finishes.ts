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
		channel: text(),
		stockPt: real(),
		shape: text()
	},
	(table) => [uniqueIndex('palette_finishes_key').on(table.key)]
);
