import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { BoxId, DividerId, ReleaseId } from '../../../core/row-id.ts';
import { boxes } from './boxes.ts';
import { releases } from './releases.ts';

/** A divider in a row of a box; cards stand behind it. */
export const dividers = sqliteTable(
	'dividers',
	{
		id: integer().$type<DividerId>().primaryKey({ autoIncrement: true }),
		boxId: integer()
			.$type<BoxId>()
			.notNull()
			.references(() => boxes.id),
		/** From 1. */
		row: integer().notNull(),
		/** Order in the row, from the front. */
		position: integer().notNull(),
		label: text().notNull(),
		/** The set behind it; null: strays, or cards of several. */
		releaseId: integer()
			.$type<ReleaseId>()
			.references(() => releases.id),
		/**
		 * The run of that set: its section (of a subset, the one in whose numbering it lives), its finish, and the
		 * number of the set; null: all of the release that has no divider of its own.
		 */
		sectionKey: text(),
		/** null: the base finish */
		parallelKey: text(),
		/** From 1; 0: doubles. */
		setNumber: integer(),
		/** The year whose strays stand behind it; null: a set, or what a person put there. Not its label, which may be any. */
		straysOf: text(),
		/** Of what a person put there, and goes on in another row: the divider where it begins. */
		partOf: integer(),
		/** When what stands there was last compared with what is recorded (ISO 8601). */
		checkedAt: text()
	},
	(table) => [index('dividers_box').on(table.boxId), index('dividers_release').on(table.releaseId)]
);
