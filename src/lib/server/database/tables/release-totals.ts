import { sqliteTable, integer } from 'drizzle-orm/sqlite-core';
import type { ReleaseId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';

/** Summary rows: what lists show of a release, refreshed in the write that changes it. */
export const releaseTotals = sqliteTable('release_totals', {
	releaseId: integer()
		.$type<ReleaseId>()
		.primaryKey()
		.references(() => releases.id, { onDelete: 'cascade' }),
	/** Editions, which are rules, included. */
	cards: integer().notNull(),
	parallels: integer().notNull(),
	/** Copies of any version. */
	owned: integer().notNull()
});
