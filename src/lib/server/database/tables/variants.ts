import { sql } from 'drizzle-orm';
import { sqliteTable, index, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ReleaseId } from '../../../core/row-id.ts';
import type { Variant } from '../../../core/checklist/variant.ts';
import { releases } from './releases.ts';

export const variants = sqliteTable(
	'variants',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		key: text().notNull(),
		position: integer().notNull(),
		/** What it is and which cards it is about: everything but its key. */
		rule: text({ mode: 'json' }).$type<Omit<Variant, 'key'>>().notNull()
	},
	(table) => [
		uniqueIndex('variants_key').on(table.releaseId, table.key),
		index('variants_pieces')
			.on(table.releaseId)
			.where(sql`${table.rule} ->> 'kind' = 'piece'`)
	]
);
