import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { ReleaseId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';

/** Differences of a file of knowledge that were seen and left: a later file of the same person shows them last. */
export const declinedKnowledge = sqliteTable(
	'declined_knowledge',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Who had learnt it. */
		from: text().notNull(),
		/** Which difference, and what it said: a short word for both. */
		fingerprint: text().notNull()
	},
	(table) => [index('declined_knowledge_release').on(table.releaseId, table.from)]
);
