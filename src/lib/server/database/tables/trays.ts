import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { Tray } from '../../../core/pile/tray.ts';
import type { ShelfId, TrayId } from '../../../core/row-id.ts';
import { shelves } from './shelves.ts';

/** A pile in a tray: cards that wait to be logged, logged ones that wait to be put away, or bulk that stays as it is. */
export const trayPiles = sqliteTable(
	'tray_piles',
	{
		id: integer().$type<TrayId>().primaryKey({ autoIncrement: true }),
		tray: text().$type<Tray>().notNull(),
		name: text().notNull(),
		/** Cards in it. */
		cards: integer().notNull(),
		/** Nobody counted them. */
		isEstimate: integer({ mode: 'boolean' }).notNull().default(false),
		/** How high it is, in micrometres, where that was measured. */
		lengthUm: integer(),
		/** The shelf it lies on; null: none that is known. */
		shelfId: integer()
			.$type<ShelfId>()
			.references(() => shelves.id),
		/** Where, in words. */
		place: text(),
		/** What all its cards are of, as far as that is known: typed once, kept for the next time. */
		year: text(),
		maker: text(),
		/** Of a pile to practise on: keys of the versions that lie in it, the top one first. */
		drawn: text({ mode: 'json' }).$type<readonly string[]>(),
		/** ISO 8601 */
		since: text().notNull()
	},
	(table) => [
		index('tray_piles_tray').on(table.tray),
		index('tray_piles_shelf').on(table.shelfId),
		check('tray_piles_cards', sql`${table.cards} >= 0`)
	]
);
