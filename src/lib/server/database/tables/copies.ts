import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { Condition } from '../../../core/goal/condition.ts';
import { releases } from './releases.ts';

/**
 * A physical card, or a counted pile of equal ones. It names its version by keys, which the rules of
 * the release make: neither versions nor the cards of an edition are rows.
 */
export const copies = sqliteTable(
	'copies',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.notNull()
			.references(() => releases.id),
		cardKey: text().notNull(),
		/** null: the base finish */
		parallelKey: text(),
		/** null: the regular card */
		variantKey: text(),
		quantity: integer().notNull(),
		condition: text().$type<Condition>(),
		/** ISO 8601 */
		loggedAt: text().notNull()
	},
	(table) => [
		index('copies_version').on(table.releaseId, table.cardKey),
		check('copies_quantity', sql`${table.quantity} >= 1`)
	]
);
