import { sqliteTable, check, index, integer, real, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { CopyId, OrderLineId, ReleaseId } from '../../../core/row-id.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type { CopyStatus } from '../../../core/copies/copy-record.ts';
import { orderLines } from './orders.ts';
import { releases } from './releases.ts';

/**
 * A physical card, or a counted pile of equal ones. It names its version by keys, which the rules of
 * the release make: neither versions nor the cards of an edition are rows.
 */
export const copies = sqliteTable(
	'copies',
	{
		id: integer().$type<CopyId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		cardKey: text().notNull(),
		/** null: the base finish */
		parallelKey: text(),
		/** null: the regular card */
		variantKey: text(),
		/** Further deviations that it shows. */
		alsoVariants: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
		/** Nobody has looked yet which printing it is. */
		isPrintingUnseen: integer({ mode: 'boolean' }).notNull().default(false),
		quantity: integer().notNull(),
		condition: text().$type<Condition>(),
		/** 1 to 10 in halves */
		grade: real(),
		/** Graded as genuine, without a number. */
		isAuthentic: integer({ mode: 'boolean' }).notNull().default(false),
		/** What the house found besides its number: "off centre". */
		qualifier: text(),
		/** The house that graded it, and the number of its certificate. */
		house: text(),
		certificate: text(),
		/** As printed: "14/65" */
		serial: text(),
		attributes: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
		status: text().$type<CopyStatus>().notNull().default('kept'),
		/** What one of them cost and is worth, in minor units of the currency (ISO 4217). */
		costMinor: integer(),
		valueMinor: integer(),
		currency: text(),
		valueSource: text(),
		/** ISO 8601 date */
		valueOn: text(),
		/** Where it came from. */
		source: text(),
		/** ISO 8601 date */
		acquiredOn: text(),
		/** Where it is kept, in words. */
		place: text(),
		/** Key of the holder each is kept in; null: none, as far as is known. */
		holder: text(),
		note: text(),
		/** The line of the order that it came with, or will. */
		orderLineId: integer()
			.$type<OrderLineId>()
			.references(() => orderLines.id),
		/** ISO 8601 */
		loggedAt: text().notNull()
	},
	(table) => [
		index('copies_version').on(table.releaseId, table.cardKey),
		index('copies_house')
			.on(table.house)
			.where(sql`${table.house} is not null`),
		index('copies_holder')
			.on(table.holder)
			.where(sql`${table.holder} is not null`),
		index('copies_value')
			.on(table.valueMinor)
			.where(sql`${table.valueMinor} > 0`),
		index('copies_unseen')
			.on(table.isPrintingUnseen)
			.where(sql`${table.isPrintingUnseen} = 1`),
		index('copies_order_line')
			.on(table.orderLineId)
			.where(sql`${table.orderLineId} is not null`),
		check('copies_quantity', sql`${table.quantity} >= 1`)
	]
);
