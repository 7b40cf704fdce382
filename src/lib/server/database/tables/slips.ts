import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { CopyId, SlipId, SlipLineId } from '../../../core/row-id.ts';
import type { SlipSort, SlipState } from '../../../core/storage/slips/slip-line.ts';
import { copies } from './copies.ts';

/** A put-away slip or a pull list. */
export const slips = sqliteTable('slips', {
	id: integer().$type<SlipId>().primaryKey({ autoIncrement: true }),
	sort: text().$type<SlipSort>().notNull(),
	name: text().notNull(),
	/** ISO 8601 */
	createdAt: text().notNull()
});

/** So many cards of a copy on a slip, in the order in which they came to hand. */
export const slipLines = sqliteTable(
	'slip_lines',
	{
		id: integer().$type<SlipLineId>().primaryKey({ autoIncrement: true }),
		slipId: integer()
			.$type<SlipId>()
			.notNull()
			.references(() => slips.id),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id),
		quantity: integer().notNull(),
		/** Of cards to put away: the set they go to, from 1; 0: doubles; null: the first. */
		setNumber: integer(),
		state: text().$type<SlipState>().notNull()
	},
	(table) => [
		index('slip_lines_slip').on(table.slipId),
		index('slip_lines_copy').on(table.copyId),
		index('slip_lines_state').on(table.state, table.slipId)
	]
);
