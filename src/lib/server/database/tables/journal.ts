import { sql } from 'drizzle-orm';
import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { ReleaseId, StepId } from '../../../core/row-id.ts';
import type { RowChange } from './journalled.ts';

/** One row a change, with the rows it touched as they were and as they became: undo and redo. */
export const journal = sqliteTable(
	'journal',
	{
		id: integer().$type<StepId>().primaryKey({ autoIncrement: true }),
		/** ISO 8601 */
		at: text().notNull(),
		/** What was done, in words: "Log 1-20 25". */
		label: text().notNull(),
		/** `done`, `undone` (can be redone), or `dropped` (undone, and then something else was done). */
		state: text().$type<'done' | 'undone' | 'dropped'>().notNull(),
		/** Of steps of earlier versions only: what a step touches follows from its rows. */
		releaseIds: text({ mode: 'json' }).$type<readonly ReleaseId[]>().notNull(),
		changes: text({ mode: 'json' }).$type<readonly RowChange[]>().notNull(),
		/** The window that did it; null: a program, the server itself, or an earlier version. */
		window: text(),
		/** How the request named itself that may be sent again; null: it did not. */
		request: text()
	},
	(table) => [
		index('journal_state').on(table.state, table.id),
		index('journal_window').on(table.window, table.state, table.id),
		index('journal_request')
			.on(table.request)
			.where(sql`${table.request} is not null`)
	]
);
