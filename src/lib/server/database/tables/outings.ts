import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { OutingKind } from '../../../core/copies/outing.ts';
import type { CopyId, OutingId } from '../../../core/row-id.ts';
import { copies } from './copies.ts';

/** Cards that are out, on loan, to be looked at, or to be graded: they keep their place. */
export const outings = sqliteTable(
	'outings',
	{
		id: integer().$type<OutingId>().primaryKey({ autoIncrement: true }),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id),
		quantity: integer().notNull(),
		kind: text().$type<OutingKind>().notNull(),
		/** Who has them. */
		to: text().notNull(),
		/** ISO 8601 dates; null: nobody has said when they are due. */
		outOn: text().notNull(),
		dueOn: text(),
		/** ISO 8601 date; null: they are out still. */
		backOn: text()
	},
	(table) => [
		index('outings_copy').on(table.copyId),
		index('outings_open')
			.on(table.dueOn)
			.where(sql`${table.backOn} is null`),
		check('outings_quantity', sql`${table.quantity} >= 1`)
	]
);
