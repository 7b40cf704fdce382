import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { TrainedPairId } from '../../../core/row-id.ts';

/** Two look-alikes as far as the trainer has practised them. */
export const trainedPairs = sqliteTable(
	'trained_pairs',
	{
		id: integer().$type<TrainedPairId>().primaryKey({ autoIncrement: true }),
		/** Their keys, the smaller first. */
		first: text().notNull(),
		second: text().notNull(),
		asked: integer().notNull(),
		right: integer().notNull(),
		/** What the scheduler keeps of it. */
		memory: text({ mode: 'json' }).$type<Readonly<Record<string, unknown>>>().notNull(),
		/** ISO 8601 */
		dueAt: text().notNull()
	},
	(table) => [uniqueIndex('trained_pairs_pair').on(table.first, table.second)]
);
