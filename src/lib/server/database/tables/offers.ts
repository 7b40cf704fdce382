import { sqliteTable, check, index, integer, real, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { PriceBreak } from '../../../core/buying/offers/price-breaks.ts';
import type { OfferRow } from '../../../core/buying/offers/match-offers.ts';
import type { BundleItem } from '../../../core/buying/offers/offer.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type { OfferId, OfferRowId, ReleaseId, SellerId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';
import { sellers } from './sellers.ts';

const sellerId = () =>
	integer()
		.$type<SellerId>()
		.notNull()
		.references(() => sellers.id);

/** Cards of one version in one condition that a seller offers, in the seller's currency. */
export const offers = sqliteTable(
	'offers',
	{
		id: integer().$type<OfferId>().primaryKey({ autoIncrement: true }),
		sellerId: sellerId(),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Version key. */
		version: text().notNull(),
		condition: text().$type<Condition>(),
		/** 1 to 10 in halves */
		grade: real(),
		house: text(),
		quantity: integer().notNull(),
		/** Lots it is sold in: one 0.40, five 1.50. */
		breaks: text({ mode: 'json' }).$type<readonly PriceBreak[]>().notNull(),
		/** The day it was seen, ISO 8601. */
		seenOn: text().notNull(),
		note: text()
	},
	(table) => [
		index('offers_seller').on(table.sellerId),
		index('offers_version').on(table.version),
		index('offers_release').on(table.releaseId),
		check('offers_quantity', sql`${table.quantity} >= 1`)
	]
);

/** Several named cards for one price, all or none of them. */
export const offerBundles = sqliteTable(
	'offer_bundles',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		sellerId: sellerId(),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** As it was said: "all commons". */
		words: text().notNull(),
		minor: integer().notNull(),
		/** The price holds its postage. */
		isShipped: integer({ mode: 'boolean' }).notNull().default(false),
		items: text({ mode: 'json' }).$type<readonly BundleItem[]>().notNull(),
		seenOn: text().notNull()
	},
	(table) => [
		index('offer_bundles_seller').on(table.sellerId),
		index('offer_bundles_release').on(table.releaseId)
	]
);

/** Rows of a seller's list that fit no card, or whose price was not understood: kept to be settled. */
export const offerRows = sqliteTable(
	'offer_rows',
	{
		id: integer().$type<OfferRowId>().primaryKey({ autoIncrement: true }),
		sellerId: sellerId(),
		/** The file. */
		source: text().notNull(),
		reason: text().notNull(),
		row: text({ mode: 'json' }).$type<OfferRow>().notNull()
	},
	(table) => [index('offer_rows_seller').on(table.sellerId)]
);
