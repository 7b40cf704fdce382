import { sqliteTable, integer, real } from 'drizzle-orm/sqlite-core';
import type { DividerId } from '../../../core/row-id.ts';
import { dividers } from './dividers.ts';

/**
 * What stands behind each divider in sum: how many cards, in micrometres and milligrams. Kept by triggers on
 * `box_cards`, whoever writes there, undo too; a divider with nothing behind it has no row.
 */
export const dividerSums = sqliteTable('divider_sums', {
	dividerId: integer()
		.$type<DividerId>()
		.primaryKey()
		.references(() => dividers.id, { onDelete: 'cascade' }),
	cards: integer().notNull(),
	um: real().notNull(),
	mg: integer().notNull()
});
