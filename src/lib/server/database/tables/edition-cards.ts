import { sqliteTable, index, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { CardMark } from '../../../core/checklist/card.ts';
import type { ReleaseId, SectionId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';
import { sections } from './sections.ts';

/** Cards that editions repeat, worked out from their rules: what is looked up as often as listed cards. */
export const editionCards = sqliteTable(
	'edition_cards',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id, { onDelete: 'cascade' }),
		sectionId: integer()
			.$type<SectionId>()
			.notNull()
			.references(() => sections.id, { onDelete: 'cascade' }),
		key: text().notNull(),
		number: text(),
		title: text().notNull(),
		subjects: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
		group: text('card_group'),
		marks: text({ mode: 'json' }).$type<readonly CardMark[]>().notNull().default([]),
		/** Words in families; null: none. */
		tags: text({ mode: 'json' }).$type<Readonly<Record<string, readonly string[]>>>(),
		/** What it is sorted as where it has no number; null: its title. */
		sortAs: text()
	},
	(table) => [
		uniqueIndex('edition_cards_key').on(table.releaseId, table.key),
		index('edition_cards_section').on(table.sectionId)
	]
);
