import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';

/** What a person set for the whole collection: holder tiers, times of sorting, supplies on hand. */
export const preferences = sqliteTable('preferences', {
	id: integer().primaryKey({ autoIncrement: true }),
	key: text().notNull().unique(),
	value: text({ mode: 'json' }).$type<unknown>().notNull()
});
