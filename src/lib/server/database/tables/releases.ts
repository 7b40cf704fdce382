import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { ReleaseId } from '../../../core/row-id.ts';
import type { Collectible, Hunt } from '../../../core/checklist/beside-cards.ts';
import type { PackType } from '../../../core/checklist/release.ts';

export const releases = sqliteTable('releases', {
	id: integer().$type<ReleaseId>().primaryKey({ autoIncrement: true }),
	key: text().notNull().unique(),
	name: text().notNull(),
	maker: text().notNull(),
	year: text().notNull(),
	/** Sport, film, game: what boxes may be ordered by. */
	theme: text(),
	note: text(),
	packTypes: text({ mode: 'json' }).$type<readonly PackType[]>().notNull(),
	rarities: text({ mode: 'json' }).$type<readonly string[]>().notNull(),
	collectibles: text({ mode: 'json' }).$type<readonly Collectible[]>().notNull().default([]),
	hunts: text({ mode: 'json' }).$type<readonly Hunt[]>().notNull().default([])
});
