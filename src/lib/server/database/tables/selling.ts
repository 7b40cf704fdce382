import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type {
	BuildId,
	CopyId,
	ListingCardId,
	ListingId,
	ReleaseId,
	SlipId
} from '../../../core/row-id.ts';
import type { ListingKind } from '../../../core/selling/listings/listing.ts';
import type { BuildKept } from '../../../schemas/build.ts';
import { copies } from './copies.ts';
import { releases } from './releases.ts';

/** Copies offered for sale together. Amounts in minor units of the currency (ISO 4217), days as ISO 8601 dates. */
export const listings = sqliteTable('listings', {
	id: integer().$type<ListingId>().primaryKey({ autoIncrement: true }),
	kind: text().$type<ListingKind>().notNull(),
	title: text().notNull(),
	/** What the buyer reads. */
	text: text().notNull(),
	/** Where it is offered, by its name. */
	channel: text().notNull(),
	currency: text().notNull(),
	askingMinor: integer().notNull(),
	/** The least that it is given for. */
	floorMinor: integer().notNull(),
	/** null each: it has not come to that. */
	listedOn: text(),
	soldOn: text(),
	sentOn: text(),
	paidOn: text(),
	returnedOn: text(),
	buyer: text(),
	soldMinor: integer(),
	/** Postage that the buyer pays, and that the seller pays. */
	chargedMinor: integer(),
	postageMinor: integer(),
	feeMinor: integer(),
	suppliesMinor: integer(),
	/** The slip that its cards are pulled by; it may be thrown away before. */
	slipId: integer().$type<SlipId>()
});

/** Cards of a listing. They outlive their copy, which is gone when it is sent. */
export const listingCards = sqliteTable(
	'listing_cards',
	{
		id: integer().$type<ListingCardId>().primaryKey({ autoIncrement: true }),
		listingId: integer()
			.$type<ListingId>()
			.notNull()
			.references(() => listings.id),
		/** null: the copy is gone. */
		copyId: integer()
			.$type<CopyId>()
			.references(() => copies.id),
		/** Key of its version. */
		version: text().notNull(),
		quantity: integer().notNull(),
		/** What each cost, in minor units of its own currency; null: nobody knows. */
		costMinor: integer(),
		costCurrency: text(),
		/** The copy as it was when it was sent, so that it can come back; none: it was not. */
		gone: text({ mode: 'json' })
			.$type<readonly (typeof copies.$inferInsert)[]>()
			.notNull()
			.default([])
	},
	(table) => [
		index('listing_cards_listing').on(table.listingId),
		index('listing_cards_copy').on(table.copyId)
	]
);

/** What building sets of a release to sell takes, as its owner reckons it: one a release. */
export const builds = sqliteTable(
	'builds',
	{
		id: integer().$type<BuildId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		plan: text({ mode: 'json' }).$type<BuildKept>().notNull()
	},
	(table) => [index('builds_release').on(table.releaseId)]
);
