import { sqliteTable, integer } from 'drizzle-orm/sqlite-core';
import type { ReleaseId } from '../../../core/row-id.ts';
import { releases } from './releases.ts';

/**
 * Releases of which a card may be without a place. Triggers on `copies`, `box_cards` and `binder_pockets` note each of which a card
 * may have become so, whoever writes there, undo too; taken off is what was looked through and has none (`forgetHoused`).
 */
export const looseReleases = sqliteTable('loose_releases', {
	releaseId: integer()
		.$type<ReleaseId>()
		.primaryKey()
		.references(() => releases.id, { onDelete: 'cascade' })
});
