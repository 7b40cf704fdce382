import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { Verdict } from '../../../core/goal/judge-card.ts';
import type { NextPile } from '../../../core/pile/next-pile.ts';
import type { CopyId, PileCardId, TrayId } from '../../../core/row-id.ts';
import { copies } from './copies.ts';
import { trayPiles } from './trays.ts';

/** A card that came off a pile and lies on the next one, until that is handed over. */
export const pileCards = sqliteTable(
	'pile_cards',
	{
		id: integer().$type<PileCardId>().primaryKey({ autoIncrement: true }),
		/** The pile to sort that it is of. */
		pileId: integer()
			.$type<TrayId>()
			.notNull()
			.references(() => trayPiles.id),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id),
		/** Key of the version it was logged as. */
		version: text().notNull(),
		/** What was typed for it. */
		line: text().notNull(),
		next: text({ mode: 'json' }).$type<NextPile>().notNull(),
		verdict: text({ mode: 'json' }).$type<Verdict>().notNull()
	},
	(table) => [index('pile_cards_pile').on(table.pileId), index('pile_cards_copy').on(table.copyId)]
);
