import { sqliteTable, index, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ReleaseId, SectionId } from '../../../core/row-id.ts';
import type { Edition } from '../../../core/checklist/edition.ts';
import type {
	Arrangement,
	SectionDetails,
	SectionKind,
	Series
} from '../../../core/checklist/section.ts';
import type { CardFormat } from '../../../core/checklist/card-format.ts';
import type { Odds } from '../../../core/checklist/odds.ts';
import { releases } from './releases.ts';

export const sections = sqliteTable(
	'sections',
	{
		id: integer().$type<SectionId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		key: text().notNull(),
		position: integer().notNull(),
		name: text().notNull(),
		kind: text().$type<SectionKind>().notNull(),
		numberedIn: text(),
		listed: integer({ mode: 'boolean' }).notNull().default(true),
		statedTotal: integer(),
		printRun: integer(),
		series: text({ mode: 'json' }).$type<readonly Series[]>().notNull(),
		odds: text({ mode: 'json' }).$type<readonly Odds[]>().notNull(),
		format: text({ mode: 'json' }).$type<CardFormat>(),
		arrangement: text({ mode: 'json' }).$type<Arrangement>(),
		edition: text({ mode: 'json' }).$type<Edition>(),
		alsoIn: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
		note: text(),
		/** What else is known of it; null: nothing. */
		details: text({ mode: 'json' }).$type<SectionDetails>()
	},
	(table) => [
		uniqueIndex('sections_key').on(table.releaseId, table.key),
		index('sections_release').on(table.releaseId)
	]
);
