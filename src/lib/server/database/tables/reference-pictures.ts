import { sqliteTable, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { PhotoSide } from '../../../core/copies/photo-side.ts';
import type { ReferencePictureId, ReleaseId } from '../../../core/row-id.ts';
import { media } from './photos.ts';
import { releases } from './releases.ts';

/** A picture of what one need not own: a section, a finish of it, or a version of a card. */
export const referencePictures = sqliteTable(
	'reference_pictures',
	{
		id: integer().$type<ReferencePictureId>().primaryKey({ autoIncrement: true }),
		releaseId: integer()
			.$type<ReleaseId>()
			.notNull()
			.references(() => releases.id),
		/** Key of what it shows: see `lookAlike`. */
		of: text().notNull(),
		hash: text()
			.notNull()
			.references(() => media.hash),
		side: text().$type<PhotoSide>().notNull(),
		/** Where it comes from. */
		source: text()
	},
	(table) => [index('reference_pictures_of').on(table.releaseId, table.of)]
);
