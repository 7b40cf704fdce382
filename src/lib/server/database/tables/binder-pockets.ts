import { sqliteTable, index, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { BinderId, CopyId } from '../../../core/row-id.ts';
import { binders } from './binders.ts';
import { copies } from './copies.ts';

/** What physically lies in the pockets of a binder: one card of a copy, and the slot it was put in for. */
export const binderPockets = sqliteTable(
	'binder_pockets',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		binderId: integer()
			.$type<BinderId>()
			.notNull()
			.references(() => binders.id),
		/** "2/17/3x3/4": see `pocketName`. */
		pocket: text().notNull(),
		slotKey: text().notNull(),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id)
	},
	(table) => [
		uniqueIndex('binder_pockets_pocket').on(table.binderId, table.pocket),
		index('binder_pockets_copy').on(table.copyId)
	]
);
