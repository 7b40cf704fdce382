import { sqliteTable, check, index, integer, real, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { OrderState, OrderWay } from '../../../core/buying/orders/order-state.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type { BidId, OrderId, OrderLineId, ReleaseId, SellerId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';
import { sellers } from './sellers.ts';

/** Something bought: ordered at a seller, or taken along on the spot. Its money is in its own currency. */
export const orders = sqliteTable(
	'orders',
	{
		id: integer().$type<OrderId>().primaryKey({ autoIncrement: true }),
		/** null: a pick-up, or the seller is not kept any more. */
		sellerId: integer()
			.$type<SellerId>()
			.references(() => sellers.id),
		/** From whom, in words. */
		from: text().notNull(),
		way: text().$type<OrderWay>().notNull(),
		state: text().$type<OrderState>().notNull(),
		/** The day it came into this state, ISO 8601. */
		stateOn: text().notNull(),
		/** ISO 4217 */
		currency: text().notNull(),
		/** What sending it here, or to the hub, costs. */
		postageMinor: integer().notNull(),
		/** Its share of what the hub asks. */
		forwardingMinor: integer().notNull().default(0),
		/** ISO 8601 days; null: nobody has said, or it is not here. */
		orderedOn: text().notNull(),
		expectedOn: text(),
		hereOn: text(),
		/** Why, or what else is to be known. */
		note: text(),
		/** What a market knows it by; null: it was ordered by hand. */
		reference: text()
	},
	(table) => [index('orders_state').on(table.state), index('orders_seller').on(table.sellerId)]
);

/** What was ordered, and what came of it. */
export const orderLines = sqliteTable(
	'order_lines',
	{
		id: integer().$type<OrderLineId>().primaryKey({ autoIncrement: true }),
		orderId: integer()
			.$type<OrderId>()
			.notNull()
			.references(() => orders.id),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Version key. */
		version: text().notNull(),
		quantity: integer().notNull(),
		condition: text().$type<Condition>(),
		/** 1 to 10 in halves */
		grade: real(),
		house: text(),
		/** What all of them cost. */
		minor: integer().notNull(),
		/** How many came in which condition; null: not checked in. */
		came: text({ mode: 'json' }).$type<
			readonly { readonly quantity: number; readonly condition?: Condition }[] | null
		>(),
		/** What is asked back, and what came back. */
		askedMinor: integer().notNull().default(0),
		refundMinor: integer().notNull().default(0),
		/** ISO 8601 day; null: something is still asked back, or nothing ever was. */
		settledOn: text()
	},
	(table) => [
		index('order_lines_order').on(table.orderId),
		index('order_lines_release').on(table.releaseId),
		index('order_lines_claimed')
			.on(table.orderId)
			.where(sql`${table.settledOn} is null and ${table.askedMinor} > 0`),
		check('order_lines_quantity', sql`${table.quantity} >= 1`)
	]
);

/** A bid that stands: money committed, and a card that may come. */
export const bids = sqliteTable(
	'bids',
	{
		id: integer().$type<BidId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Version key. */
		version: text().notNull(),
		condition: text().$type<Condition>(),
		/** Where it is sold. */
		from: text().notNull(),
		mostMinor: integer().notNull(),
		postageMinor: integer().notNull(),
		currency: text().notNull(),
		/** ISO 8601 day */
		endsOn: text().notNull(),
		note: text()
	},
	(table) => [index('bids_release').on(table.releaseId), index('bids_version').on(table.version)]
);
