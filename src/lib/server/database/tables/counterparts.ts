import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** Sections of releases that a person has paired; each pair once, the smaller name first. */
export const counterparts = sqliteTable(
	'counterparts',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		/** Keys of a release and its section. */
		release: text().notNull(),
		section: text().notNull(),
		otherRelease: text().notNull(),
		otherSection: text().notNull()
	},
	(table) => [
		uniqueIndex('counterparts_pair').on(
			table.release,
			table.section,
			table.otherRelease,
			table.otherSection
		)
	]
);
