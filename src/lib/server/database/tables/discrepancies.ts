import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { CopyId, DiscrepancyId, DividerId } from '../../../core/row-id.ts';
import type { DiscrepancySort } from '../../../core/storage/stock-take/discrepancy.ts';
import { copies } from './copies.ts';
import { dividers } from './dividers.ts';

/** Where what is recorded and what was found differ; it waits for an answer. */
export const discrepancies = sqliteTable(
	'discrepancies',
	{
		id: integer().$type<DiscrepancyId>().primaryKey({ autoIncrement: true }),
		sort: text().$type<DiscrepancySort>().notNull(),
		/** null: it is not in the pile that is put away. */
		dividerId: integer()
			.$type<DividerId>()
			.references(() => dividers.id),
		/** The copy that is not there; null: what is there is not recorded. */
		copyId: integer()
			.$type<CopyId>()
			.references(() => copies.id),
		/** Key of the version concerned. */
		version: text().notNull(),
		quantity: integer().notNull(),
		/** ISO 8601 */
		at: text().notNull()
	},
	(table) => [
		index('discrepancies_divider').on(table.dividerId),
		index('discrepancies_copy').on(table.copyId)
	]
);
