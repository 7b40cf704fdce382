import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { GoalId, ReleaseId } from '../../../core/row-id.ts';
import { goals } from './goals.ts';
import { releases } from './releases.ts';

/** One sum for several missing cards of a goal together: "all commons 30". */
export const priceLumps = sqliteTable(
	'price_lumps',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		goalId: integer()
			.$type<GoalId>()
			.notNull()
			.references(() => goals.id),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** As it was said: "all commons". */
		words: text().notNull(),
		/** Keys of the versions it was said for. */
		versions: text({ mode: 'json' }).$type<readonly string[]>().notNull(),
		/** How many cards were missing of them. */
		cards: integer().notNull(),
		lowMinor: integer().notNull(),
		highMinor: integer().notNull(),
		currency: text().notNull(),
		/** ISO 8601 date */
		saidOn: text().notNull(),
		reason: text()
	},
	(table) => [
		index('price_lumps_goal').on(table.goalId),
		index('price_lumps_release').on(table.releaseId),
		check(
			'price_lumps_range',
			sql`${table.lowMinor} >= 0 and ${table.highMinor} >= ${table.lowMinor}`
		)
	]
);
