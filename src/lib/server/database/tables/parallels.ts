import { sqliteTable, index, integer, real, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ReleaseId } from '../../../core/row-id.ts';
import type { RunRule } from '../../../core/checklist/parallel.ts';
import type { Tell } from '../../../core/checklist/tell.ts';
import { releases } from './releases.ts';

export const parallels = sqliteTable(
	'parallels',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		key: text().notNull(),
		position: integer().notNull(),
		name: text().notNull(),
		channel: text(),
		look: text(),
		howToTell: text(),
		/** Features by which its cards are known; null: none are told. */
		tells: text({ mode: 'json' }).$type<readonly Tell[]>(),
		/** Key of the finish of the palette that it is. */
		palette: text(),
		isBaseFinish: integer({ mode: 'boolean' }).notNull().default(false),
		stockPt: real(),
		shape: text(),
		runs: text({ mode: 'json' }).$type<readonly RunRule[]>().notNull()
	},
	(table) => [
		uniqueIndex('parallels_key').on(table.releaseId, table.key),
		index('parallels_palette').on(table.palette)
	]
);
