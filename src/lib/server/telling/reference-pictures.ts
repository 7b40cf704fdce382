import { asc, eq, inArray } from 'drizzle-orm';
import type { PhotoSide } from '../../core/copies/photo-side.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { ReferencePictureId } from '../../core/row-id.ts';
import type { Collection, Reader } from '../database/open.ts';
import { insertOne } from '../database/record.ts';
import { media, referencePictures } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { preparePhoto } from '../media/photos.ts';
import { findRelease } from '../releases/load-release.ts';
import { readLookAlikes } from './look-alikes.ts';

/** A picture of what one need not own. */
export interface ReferencePicture {
	readonly id: ReferencePictureId;
	readonly of: string;
	readonly hash: string;
	readonly side: PhotoSide;
	readonly source: string | null;
}

/** The reference pictures of some things, fronts first. */
export async function picturesOf(
	db: Reader,
	keys: readonly string[]
): Promise<readonly ReferencePicture[]> {
	return db
		.select({
			id: referencePictures.id,
			of: referencePictures.of,
			hash: referencePictures.hash,
			side: referencePictures.side,
			source: referencePictures.source
		})
		.from(referencePictures)
		.where(inArray(referencePictures.of, [...keys]))
		.orderBy(asc(referencePictures.side), asc(referencePictures.id));
}

/** Keeps a picture of a section, a finish or a version, of its front or back. */
export async function addReferencePicture(
	collection: Collection,
	of: string,
	{
		side,
		source,
		bytes
	}: { readonly side: PhotoSide; readonly source: string; readonly bytes: Uint8Array }
): Promise<Outcome<{ readonly id: ReferencePictureId; readonly hash: string }>> {
	const prepared = await preparePhoto(bytes);
	if (!prepared.ok) return prepared;
	const { hash } = prepared.value;
	return makeChange(collection, async (record, tx) => {
		const [shown] = await readLookAlikes(tx, [of]);
		const releaseId = shown ? await findRelease(tx, shown.releaseKey) : null;
		if (!shown || releaseId === null) {
			const remedy = 'Name a release, a section or a version of it.';
			return refused([{ field: 'of', message: `"${of}" is nothing of this collection`, remedy }]);
		}
		await tx.insert(media).values(prepared.value).onConflictDoNothing();
		const row = await insertOne(record, referencePictures, {
			releaseId,
			of,
			hash,
			side,
			source: source.trim() || null
		});
		return { value: good({ id: row.id, hash }), label: `A picture of ${shown.name}` };
	});
}

/** Takes a reference picture off. False where there is none. */
export function removeReferencePicture(
	collection: Collection,
	id: ReferencePictureId
): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [picture] = await tx
			.select({ id: referencePictures.id })
			.from(referencePictures)
			.where(eq(referencePictures.id, id));
		if (!picture) return { value: false, label: '' };
		await record.remove(referencePictures, [id]);
		return { value: true, label: 'Take off a reference picture' };
	});
}
