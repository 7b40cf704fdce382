import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';

/** A word that the entry line takes for others: "hl" for "harbour lights", "ink" for "Keeper's Ink". */
export const synonyms = sqliteTable('synonyms', {
	id: integer().primaryKey({ autoIncrement: true }),
	word: text().notNull().unique(),
	means: text().notNull()
});
