import { sqliteTable, index, integer, primaryKey, text } from 'drizzle-orm/sqlite-core';
import type { CardId } from '../../../core/row-id.ts';
import { cards } from './cards.ts';

/** Who or what listed cards show, a row each: kept by triggers on `cards`, so that a subject is found without looking at all of them. */
export const cardSubjects = sqliteTable(
	'card_subjects',
	{
		subject: text().notNull(),
		cardId: integer()
			.$type<CardId>()
			.notNull()
			.references(() => cards.id, { onDelete: 'cascade' })
	},
	(table) => [
		primaryKey({ columns: [table.subject, table.cardId] }),
		index('card_subjects_card').on(table.cardId)
	]
);
