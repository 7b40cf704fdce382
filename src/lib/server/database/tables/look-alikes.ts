import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { LookAlikesId } from '../../../core/row-id.ts';

/** What is easily mistaken for each other, over releases. */
export const lookAlikes = sqliteTable('look_alikes', {
	id: integer().$type<LookAlikesId>().primaryKey({ autoIncrement: true }),
	name: text().notNull(),
	/** Keys of releases, sections in a finish, or versions: see `lookAlike`. */
	keys: text({ mode: 'json' }).$type<readonly string[]>().notNull(),
	note: text()
});
