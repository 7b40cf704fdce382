import { asc, count, eq, inArray } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { chunks } from '../database/chunks.ts';
import type { Collection, Reader } from '../database/open.ts';
import { copies, media, photos } from '../database/tables/index.ts';
import type { Sharp } from 'sharp';
import { openPicture } from './open-picture.ts';
import { makeChange, refused } from '../journal/change.ts';
import type { PhotoSide } from '../../core/copies/photo-side.ts';
import type { CopyId, PhotoId } from '../../core/row-id.ts';

/** The largest file, in bytes, and the most pixels, that are taken in. */
const LARGEST_PHOTO_BYTES = 20 * 1024 * 1024;
const MOST_PIXELS = 60_000_000;
/** Sides of what is kept, in px. */
const LONGEST_SIDE = 2000;
const THUMBNAIL_SIDE = 320;

interface Picture {
	readonly hash: string;
	readonly width: number;
	readonly height: number;
	readonly picture: Buffer;
	readonly thumbnail: Buffer;
}

/**
 * Makes a photo ready to keep: turned upright, at most 2,000 px, WebP, and without any metadata, so
 * that neither camera nor place can be read from it. Anything but JPEG, PNG and WebP is refused.
 */
export async function preparePhoto(bytes: Uint8Array): Promise<Outcome<Picture>> {
	const refuse = (message: string, remedy: string) => bad([{ field: 'photo', message, remedy }]);
	if (bytes.byteLength === 0) return refuse('the file is empty', 'Choose another one.');
	if (bytes.byteLength > LARGEST_PHOTO_BYTES) {
		return refuse('the file is larger than 20 MB', 'Make it smaller first.');
	}
	const opened = await openPicture(bytes, MOST_PIXELS);
	if (!opened.ok) return bad(opened.problems.map((problem) => ({ ...problem, field: 'photo' })));
	try {
		const asItIs = await keptAsItIs(opened.value, bytes);
		if (asItIs) {
			const thumbnail = await thumbnailOf(opened.value);
			return good({ ...asItIs, thumbnail });
		}
		const upright = opened.value.rotate();
		const fitted = (side: number) =>
			upright
				.clone()
				.resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true });
		const { data, info } = await fitted(LONGEST_SIDE)
			.webp({ quality: 86 })
			.toBuffer({ resolveWithObject: true });
		const thumbnail = await thumbnailOf(upright);
		return good({
			hash: hashOf(data),
			width: info.width,
			height: info.height,
			picture: data,
			thumbnail
		});
	} catch {
		return refuse(
			'this picture is damaged, or has more than 60 million pixels',
			'Photos may be JPEG, PNG or WebP.'
		);
	}
}

const thumbnailOf = (picture: Sharp): Promise<Buffer> =>
	picture
		.clone()
		.resize({
			width: THUMBNAIL_SIDE,
			height: THUMBNAIL_SIDE,
			fit: 'inside',
			withoutEnlargement: true
		})
		.webp({ quality: 80 })
		.toBuffer();

/** A picture that a collection has kept already, and another takes in, is the same picture in both; null: it is none of these. */
async function keptAsItIs(
	opened: Sharp,
	bytes: Uint8Array
): Promise<Omit<Picture, 'thumbnail'> | null> {
	const { format, width, height, exif, xmp, icc, iptc, pages = 1 } = await opened.metadata();
	const isBare = !exif && !xmp && !icc && !iptc && pages === 1;
	if (format !== 'webp' || !isBare || Math.max(width, height) > LONGEST_SIDE) return null;
	// All of it is read once: what is damaged is refused.
	await opened.clone().stats();
	const picture = Buffer.from(bytes);
	return { hash: hashOf(picture), width, height, picture };
}

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Adds a photo to a copy. */
export async function addPhoto(
	collection: Collection,
	copyId: CopyId,
	bytes: Uint8Array
): Promise<Outcome<{ readonly hash: string }>> {
	const prepared = await preparePhoto(bytes);
	if (!prepared.ok) return prepared;
	const { hash } = prepared.value;
	return makeChange(collection, async (record, tx) => {
		const [copy] = await tx
			.select({ id: copies.id, releaseId: copies.releaseId })
			.from(copies)
			.where(eq(copies.id, copyId));
		const problem: Problem = { message: 'there is no such copy' };
		if (!copy) return refused([problem]);
		await tx.insert(media).values(prepared.value).onConflictDoNothing();
		const [known] = await tx
			.select({ photos: count() })
			.from(photos)
			.where(eq(photos.copyId, copyId));
		await record.insert(photos, [{ copyId, hash, position: known?.photos ?? 0 }]);
		return { value: good({ hash }), label: 'Add a photo' };
	});
}

/** Says which side of its card a photo shows. False where there is none. */
export function turnPhoto(collection: Collection, id: PhotoId, side: PhotoSide): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [photo] = await tx.select().from(photos).where(eq(photos.id, id));
		if (!photo) return { value: false, label: '' };
		if (photo.side !== side) await record.update(photos, id, { side });
		return { value: true, label: `A photo shows the ${side}` };
	});
}

/** Takes a photo off its copy; undo brings it back. False where there is none. */
export function removePhoto(collection: Collection, id: PhotoId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [photo] = await tx.select({ id: photos.id }).from(photos).where(eq(photos.id, id));
		if (!photo) return { value: false, label: '' };
		await record.remove(photos, [id]);
		return { value: true, label: 'Take off a photo' };
	});
}

/** The photos of some copies, in order. */
export async function photosOf(db: Reader, copyIds: readonly CopyId[]) {
	const found: { id: PhotoId; copyId: CopyId; hash: string; side: PhotoSide | null }[] = [];
	for (const some of chunks(copyIds, 5000)) {
		found.push(
			...(await db
				.select({ id: photos.id, copyId: photos.copyId, hash: photos.hash, side: photos.side })
				.from(photos)
				.where(inArray(photos.copyId, [...some]))
				.orderBy(asc(photos.position), asc(photos.id)))
		);
	}
	return found;
}

export async function readPicture(
	db: Reader,
	hash: string,
	size: 'whole' | 'thumbnail'
): Promise<Buffer | null> {
	const [found] = await db
		.select({ bytes: size === 'whole' ? media.picture : media.thumbnail })
		.from(media)
		.where(eq(media.hash, hash));
	return found?.bytes ?? null;
}
