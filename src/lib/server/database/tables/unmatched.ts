import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { UnmatchedId } from '../../../core/row-id.ts';

/** A row of imported holdings that could not be given to a card yet; nothing is dropped. */
export const unmatchedRows = sqliteTable('unmatched_rows', {
	id: integer().$type<UnmatchedId>().primaryKey({ autoIncrement: true }),
	/** The file it came from, and its line there. */
	source: text().notNull(),
	line: integer().notNull(),
	/** The row as it was read, by column. */
	fields: text({ mode: 'json' }).$type<Readonly<Record<string, string>>>().notNull(),
	reason: text().notNull()
});
