import { group } from 'd3-array';
import { inArray } from 'drizzle-orm';
import phash from 'sharp-phash';
import { pictureGroups, type HashedPicture } from '../../core/telling/picture-groups.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { media } from '../database/tables/index.ts';
import { loadRelease } from '../releases/load-release.ts';
import { photosOfRelease } from './picture-watch.ts';

/** Photos that one look takes: at some 3 ms each. */
const MOST_COMPARED = 4000;

/** Photos of a card, by what they seem to show. */
export interface GroupedPhotos {
	readonly card: string;
	/** Hashes of photos; the largest group first. */
	readonly groups: readonly (readonly string[])[];
}

/**
 * Compares the photos of fronts, card by card, by their perceptual hash: of a release, or of one card. Cards
 * with fewer than two photos are left out; null: there is no such release.
 */
export async function groupPhotos(
	db: Reader,
	releaseKey: string,
	card: string | null
): Promise<readonly GroupedPhotos[] | null> {
	const stored = await loadRelease(db, releaseKey);
	if (!stored) return null;
	const all = (await photosOfRelease(db, stored, card ?? undefined))
		.filter(({ side }) => side !== 'back')
		.slice(0, MOST_COMPARED);
	const several = [...group(all, (photo) => photo.card)].filter(([, of]) => of.length > 1);
	const bits = new Map<string, string>();
	const hashes = [...new Set(several.flatMap(([, of]) => of.map(({ hash }) => hash)))];
	for (const some of chunks(hashes, 100)) {
		const rows = await db
			.select({ hash: media.hash, picture: media.thumbnail })
			.from(media)
			.where(inArray(media.hash, some));
		for (const { hash, picture } of rows) bits.set(hash, await phash(picture));
	}
	return several.map(([key, of]) => ({
		card: key,
		groups: pictureGroups(
			[...new Set(of.map(({ hash }) => hash))].flatMap((hash): HashedPicture[] => {
				const known = bits.get(hash);
				return known === undefined ? [] : [{ key: hash, bits: known }];
			})
		)
	}));
}
