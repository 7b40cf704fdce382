import { sql } from 'drizzle-orm';
import { sqliteTable, index, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { CardId, ReleaseId, SectionId } from '../../../core/row-id.ts';
import type { CardDetails } from '../../../core/checklist/card-details.ts';
import type { CardMark } from '../../../core/checklist/card.ts';
import { releases } from './releases.ts';
import { sections } from './sections.ts';

export const cards = sqliteTable(
	'cards',
	{
		id: integer().$type<CardId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		sectionId: integer()
			.$type<SectionId>()
			.notNull()
			.references(() => sections.id),
		key: text().notNull(),
		position: integer().notNull(),
		number: text(),
		otherNumbers: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
		title: text().notNull(),
		subjects: text({ mode: 'json' }).$type<readonly string[]>().notNull(),
		group: text('card_group'),
		marks: text({ mode: 'json' }).$type<readonly CardMark[]>().notNull(),
		rarity: text(),
		place: integer(),
		panelOf: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
		/** What else is known of it; null: nothing, as of most cards. */
		details: text({ mode: 'json' }).$type<CardDetails>()
	},
	(table) => [
		uniqueIndex('cards_key').on(table.releaseId, table.key),
		index('cards_section').on(table.sectionId),
		index('cards_group')
			.on(table.group)
			.where(sql`${table.group} is not null`)
	]
);
