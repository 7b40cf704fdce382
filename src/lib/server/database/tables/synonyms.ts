import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { SynonymId } from '../../../core/row-id.ts';

/** A word that the entry line takes for others: "hl" for "harbour lights", "ink" for "Keeper's Ink". */
export const synonyms = sqliteTable('synonyms', {
	id: integer().$type<SynonymId>().primaryKey({ autoIncrement: true }),
	word: text().notNull().unique(),
	means: text().notNull()
});
