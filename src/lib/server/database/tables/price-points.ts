import { sqliteTable, check, index, integer, real, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { PriceKind } from '../../../core/worth/prices/price-point.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type { PricePointId, ReleaseId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';

/** The price book: what a version was asked or sold for, when and where. It names its version by keys, as copies do. */
export const pricePoints = sqliteTable(
	'price_points',
	{
		id: integer().$type<PricePointId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		cardKey: text().notNull(),
		/** null: the base finish */
		parallelKey: text(),
		/** null: the regular card */
		variantKey: text(),
		condition: text().$type<Condition>(),
		/** 1 to 10 in halves */
		grade: real(),
		/** Graded as genuine, without a number. */
		isAuthentic: integer({ mode: 'boolean' }).notNull().default(false),
		/** What the house found besides its grade: "off centre". */
		qualifier: text(),
		house: text(),
		/** Of one card, from–to, in minor units of the currency (ISO 4217). */
		lowMinor: integer().notNull(),
		highMinor: integer().notNull(),
		currency: text().notNull(),
		kind: text().$type<PriceKind>().notNull(),
		/** ISO 8601 date */
		saidOn: text().notNull(),
		/** Who asked it, or where it was sold. */
		source: text(),
		/** Why it is out of line. */
		reason: text()
	},
	(table) => [
		index('price_points_version').on(table.releaseId, table.cardKey),
		check(
			'price_points_range',
			sql`${table.lowMinor} >= 0 and ${table.highMinor} >= ${table.lowMinor}`
		)
	]
);
