import { sqliteTable, index, integer, real, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Condition } from '../../../core/copies/condition.ts';
import type { CopyStatus } from '../../../core/copies/copy-record.ts';
import type { HouseId, PopulationReportId, ReleaseId } from '../../../core/row-id.ts';
import type { PopulationCount } from '../../../core/worth/population/population.ts';
import { releases } from './releases.ts';

/** Houses that grade cards, with the grades they give. */
export const houses = sqliteTable(
	'houses',
	{
		id: integer().$type<HouseId>().primaryKey({ autoIncrement: true }),
		name: text().notNull(),
		/** 1 to 10 in halves, the best first. */
		grades: text({ mode: 'json' }).$type<readonly number[]>().notNull(),
		givesAuthentic: integer({ mode: 'boolean' }).notNull().default(true)
	},
	(table) => [uniqueIndex('houses_name').on(table.name)]
);

/** What a house said on a day: how many copies of a version it graded. It names its version by keys, as copies do. */
export const populationReports = sqliteTable(
	'population_reports',
	{
		id: integer().$type<PopulationReportId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		cardKey: text().notNull(),
		parallelKey: text(),
		variantKey: text(),
		/** By its name: a report outlives the list of houses. */
		house: text().notNull(),
		/** ISO 8601 date */
		saidOn: text().notNull(),
		source: text(),
		/** The sum as the house states it; null: it states none. */
		statedTotal: integer(),
		counts: text({ mode: 'json' }).$type<readonly PopulationCount[]>().notNull()
	},
	(table) => [index('population_reports_version').on(table.releaseId, table.cardKey)]
);

/** Summary rows: how many equal copies there are, refreshed in the write that changes one; worth is reckoned from them. */
export const copySums = sqliteTable(
	'copy_sums',
	{
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id, { onDelete: 'cascade' }),
		cardKey: text().notNull(),
		parallelKey: text(),
		variantKey: text(),
		condition: text().$type<Condition>(),
		grade: real(),
		isAuthentic: integer({ mode: 'boolean' }).notNull(),
		qualifier: text(),
		house: text(),
		status: text().$type<CopyStatus>().notNull(),
		/** What their owner says each is worth, in minor units of the currency; null: nothing. */
		valueMinor: integer(),
		currency: text(),
		quantity: integer().notNull()
	},
	(table) => [index('copy_sums_card').on(table.releaseId, table.cardKey)]
);
