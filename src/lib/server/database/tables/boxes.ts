import { sqliteTable, type AnySQLiteColumn, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { BoxId, ShelfId } from '../../../core/row-id.ts';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { shelves } from './shelves.ts';

/** A box or case that stands somewhere. */
export const boxes = sqliteTable(
	'boxes',
	{
		id: integer().$type<BoxId>().primaryKey({ autoIncrement: true }),
		/** null: it stands on no shelf yet. */
		shelfId: integer()
			.$type<ShelfId>()
			.references(() => shelves.id),
		/** Order on its shelf, from the left; of a small box, in its row. */
		position: integer().notNull(),
		/** The larger box in which a small one stands, and in which of its rows, from 1; null: in none. */
		insideId: integer()
			.$type<BoxId>()
			.references((): AnySQLiteColumn => boxes.id),
		insideRow: integer(),
		name: text().notNull(),
		/** Key of its box kind. */
		kind: text().notNull(),
		use: text().$type<BoxUse>().notNull()
	},
	(table) => [index('boxes_shelf').on(table.shelfId), index('boxes_inside').on(table.insideId)]
);
