import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ShelfId } from '../../../core/row-id.ts';

/** A board of a shelf unit in a room. */
export const shelves = sqliteTable(
	'shelves',
	{
		id: integer().$type<ShelfId>().primaryKey({ autoIncrement: true }),
		room: text().notNull(),
		unit: text().notNull(),
		/** From 1, the lowest. */
		level: integer().notNull(),
		/** How long it is, in millimetres. */
		lengthMm: integer().notNull(),
		/** What its maker says it bears, in grams; null: not known. */
		ratingG: integer()
	},
	(table) => [uniqueIndex('shelves_place').on(table.room, table.unit, table.level)]
);
