import { sqliteTable, check, index, integer, text } from 'drizzle-orm/sqlite-core';
import { sql } from 'drizzle-orm';
import type { Pull } from '../../../core/packs/openings/opened-pile.ts';
import type { SealedTrust } from '../../../core/packs/sealed/compare-sealed.ts';
import type { SealedUnit } from '../../../core/packs/sealed/sealed-unit.ts';
import type { OpenedPileId, OpeningId, ReleaseId, SealedLotId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';

/** Packs, boxes or cases that are kept sealed. Money is of each, in minor units. */
export const sealedLots = sqliteTable(
	'sealed_lots',
	{
		id: integer().$type<SealedLotId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Key of the pack type. */
		packType: text().notNull(),
		unit: text().$type<SealedUnit>().notNull(),
		quantity: integer().notNull(),
		/** null: nobody knows. */
		costMinor: integer(),
		valueMinor: integer(),
		/** ISO 4217 */
		currency: text().notNull(),
		trust: text().$type<SealedTrust>().notNull(),
		/** From whom, and what else speaks for it. */
		source: text(),
		/** Where it is kept, in words. */
		place: text(),
		/** ISO 8601 day */
		acquiredOn: text()
	},
	(table) => [
		index('sealed_lots_release').on(table.releaseId),
		check('sealed_lots_quantity', sql`${table.quantity} >= 1`)
	]
);

/** Packs that were opened, or are being opened. */
export const openings = sqliteTable(
	'openings',
	{
		id: integer().$type<OpeningId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Key of the pack type. */
		packType: text().notNull(),
		name: text().notNull(),
		/** ISO 8601 day */
		openedOn: text().notNull(),
		/** What a pack cost, in minor units; null: nobody knows. */
		packMinor: integer(),
		/** ISO 4217 */
		currency: text().notNull(),
		/** How it is shared out, as agreed before; null: it is nobody else's, and its cards are logged as they come. */
		shareRules: text(),
		/** Of those who share: whose cards come into the collection. */
		keeper: text(),
		/** ISO 8601 day on which they came; null: not yet. */
		sharedOn: text()
	},
	(table) => [index('openings_release').on(table.releaseId)]
);

/** What some of its packs held, by the pack or by the box, in the order in which they were opened. */
export const openedPiles = sqliteTable(
	'opened_piles',
	{
		id: integer().$type<OpenedPileId>().primaryKey({ autoIncrement: true }),
		openingId: integer()
			.$type<OpeningId>()
			.notNull()
			.references(() => openings.id),
		packs: integer().notNull(),
		/** As it was typed. */
		line: text().notNull(),
		pulls: text({ mode: 'json' }).$type<readonly Pull[]>().notNull()
	},
	(table) => [
		index('opened_piles_opening').on(table.openingId),
		check('opened_piles_packs', sql`${table.packs} >= 1`)
	]
);
