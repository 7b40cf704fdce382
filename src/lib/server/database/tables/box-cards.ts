import { sqliteTable, check, index, integer, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { CopyId, DividerId } from '../../../core/row-id.ts';
import { copies } from './copies.ts';
import { dividers } from './dividers.ts';

/** What physically stands behind a divider: so many cards of a copy. */
export const boxCards = sqliteTable(
	'box_cards',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		dividerId: integer()
			.$type<DividerId>()
			.notNull()
			.references(() => dividers.id),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id),
		quantity: integer().notNull(),
		/** Thickness and weight of one with its holder, in micrometres and milligrams. */
		um: integer().notNull(),
		mg: integer().notNull()
	},
	(table) => [
		uniqueIndex('box_cards_place').on(table.dividerId, table.copyId),
		// With how many: what is free of a copy is read out of the index alone.
		index('box_cards_copy').on(table.copyId, table.quantity),
		check('box_cards_quantity', sql`${table.quantity} >= 1`)
	]
);
