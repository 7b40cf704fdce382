import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { TrayId } from '../../../core/row-id.ts';

/** A pile in one of the two trays: cards that wait to be logged, or logged ones that wait to be put away. */
export const trayPiles = sqliteTable(
	'tray_piles',
	{
		id: integer().$type<TrayId>().primaryKey({ autoIncrement: true }),
		tray: text().$type<'to log' | 'to sort'>().notNull(),
		name: text().notNull(),
		/** Cards in it. */
		cards: integer().notNull(),
		/** ISO 8601 */
		since: text().notNull()
	},
	(table) => [
		index('tray_piles_tray').on(table.tray),
		check('tray_piles_cards', sql`${table.cards} >= 0`)
	]
);
