import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { BinderId } from '../../../core/row-id.ts';
import { binders } from './binders.ts';

/** What a collector wants to tell of a block when the pages of its binder are shown. */
export const blockNotes = sqliteTable(
	'block_notes',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		binderId: integer()
			.$type<BinderId>()
			.notNull()
			.references(() => binders.id),
		/** Key of the block in the binder's plan. */
		block: text().notNull(),
		note: text().notNull()
	},
	(table) => [uniqueIndex('block_notes_block').on(table.binderId, table.block)]
);
