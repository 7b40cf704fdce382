import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { Condition } from '../../../core/goal/condition.ts';
import { cards } from './cards.ts';
import { parallels } from './parallels.ts';
import { releases } from './releases.ts';

/** A physical card, or a counted pile of equal ones. It names card and parallel; versions are not stored. */
export const copies = sqliteTable(
	'copies',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.notNull()
			.references(() => releases.id),
		cardId: integer()
			.notNull()
			.references(() => cards.id),
		/** null: the base finish */
		parallelId: integer().references(() => parallels.id),
		quantity: integer().notNull(),
		condition: text().$type<Condition>(),
		/** ISO 8601 */
		loggedAt: text().notNull()
	},
	(table) => [
		index('copies_release').on(table.releaseId),
		index('copies_version').on(table.cardId, table.parallelId),
		check('copies_quantity', sql`${table.quantity} >= 1`)
	]
);
