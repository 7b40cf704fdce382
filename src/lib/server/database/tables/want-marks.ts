import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { Priority } from '../../../core/buying/wants/wants-list.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type { ReleaseId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';

/** What is said of a wanted card itself; it goes before what its goals say. */
export const wantMarks = sqliteTable(
	'want_marks',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Key of the version that names the want. */
		version: text().notNull().unique(),
		isFavourite: integer({ mode: 'boolean' }).notNull().default(false),
		priority: integer().$type<Priority>(),
		/** The most one would pay, in minor units of the currency (ISO 4217). */
		mostMinor: integer(),
		currency: text(),
		leastCondition: text().$type<Condition>()
	},
	(table) => [index('want_marks_release').on(table.releaseId)]
);
