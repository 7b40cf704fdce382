import { sqliteTable, blob, index, integer, text } from 'drizzle-orm/sqlite-core';
import type { CopyId, PhotoId } from '../../../core/row-id.ts';
import type { PhotoSide } from '../../../core/copies/photo-side.ts';
import { copies } from './copies.ts';

/** A picture as it is kept, named by its content: neither changed nor journalled. */
export const media = sqliteTable('media', {
	/** SHA-256 of the picture, in hex */
	hash: text().primaryKey(),
	width: integer().notNull(),
	height: integer().notNull(),
	/** WebP without metadata */
	picture: blob({ mode: 'buffer' }).notNull(),
	thumbnail: blob({ mode: 'buffer' }).notNull()
});

/** A photo of a copy. */
export const photos = sqliteTable(
	'photos',
	{
		id: integer().$type<PhotoId>().primaryKey({ autoIncrement: true }),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id),
		hash: text()
			.notNull()
			.references(() => media.hash),
		position: integer().notNull(),
		/** Which side of the card it shows; null: nobody said, the front for all we know. */
		side: text().$type<PhotoSide>()
	},
	(table) => [index('photos_copy').on(table.copyId)]
);
