import { and, eq } from 'drizzle-orm';
import { numberingsOf } from '../../core/checklist/numbering.ts';
import type { Release } from '../../core/checklist/release.ts';
import { variantFinder } from '../../core/checklist/variant.ts';
import { formatVersionKey, parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { versionNamer } from '../../core/copies/name-version.ts';
import type { PhotoSide } from '../../core/copies/photo-side.ts';
import type { Reader } from '../database/open.ts';
import { copies, photos, referencePictures } from '../database/tables/index.ts';
import type { StoredRelease } from '../releases/load-release.ts';

/** A number to keep an eye on. */
export interface WatchedCard {
	readonly key: string;
	readonly number: string | null;
	readonly title: string;
	/** Known deviations of its picture, and short prints. */
	readonly known: readonly string[];
	/** Versions that are known to show another picture, with the regular one first. */
	readonly pictures: readonly { readonly version: string; readonly name: string }[];
	readonly photos: number;
}

/** A photo of a card: of a copy, or for reference. */
export interface WatchedPhoto {
	readonly hash: string;
	readonly side: PhotoSide | null;
	/** The version it is said to show. */
	readonly name: string;
	readonly isReference: boolean;
}

/** Cards whose number is known with several pictures, is a short print, or has photos; in order. */
export async function readWatch(
	db: Reader,
	{ id, release }: StoredRelease
): Promise<readonly WatchedCard[]> {
	const counts = new Map<string, number>();
	for (const { card } of await photosOfRelease(db, { id, release })) {
		counts.set(card, (counts.get(card) ?? 0) + 1);
	}
	const find = variantFinder(release.variants);
	return numberingsOf(release).flatMap(({ cards }) =>
		cards.flatMap(({ section, card }): WatchedCard[] => {
			const odd = find(section, card).filter(
				({ kind }) => kind === 'image variation' || kind === 'short print'
			);
			const known = odd.map(({ kind, name }) => (kind === name ? kind : `${kind}: ${name}`));
			const at = { release: release.key, card: card.key, parallel: null };
			const pictures = [
				{ version: formatVersionKey(at), name: 'regular' },
				...odd
					.filter(({ kind }) => kind === 'image variation')
					.map(({ key, name }) => ({ version: formatVersionKey({ ...at, variant: key }), name }))
			];
			const count = counts.get(card.key) ?? 0;
			if (known.length === 0 && count < 2) return [];
			const { key, number, title } = card;
			return [{ key, number, title, known, pictures, photos: count }];
		})
	);
}

/** All photos of a release, or of one of its cards: those of copies, and reference pictures of versions. */
export async function photosOfRelease(
	db: Reader,
	{ id, release }: StoredRelease,
	card?: string
): Promise<readonly (WatchedPhoto & { readonly card: string })[]> {
	const nameOf = versionNamer(release);
	const taken = await db
		.select({
			hash: photos.hash,
			side: photos.side,
			card: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey
		})
		.from(photos)
		.innerJoin(copies, eq(copies.id, photos.copyId))
		.where(and(eq(copies.releaseId, id), card === undefined ? undefined : eq(copies.cardKey, card)))
		.orderBy(photos.id);
	const kept = await db
		.select()
		.from(referencePictures)
		.where(eq(referencePictures.releaseId, id))
		.orderBy(referencePictures.id);
	const cards = cardsOfVersions(release);
	return [
		...taken.map(({ hash, side, ...version }) => ({
			hash,
			side,
			card: version.card,
			name: nameOf(formatVersionKey({ ...version, release: release.key })).name,
			isReference: false
		})),
		...kept.flatMap(({ of, hash, side }) => {
			const shown = cards(of);
			return shown === null || (card !== undefined && shown !== card)
				? []
				: [{ hash, side, card: shown, name: nameOf(of).name, isReference: true }];
		})
	];
}

/** The card that a version key is of; null: it is a section, or a release. */
function cardsOfVersions(release: Release): (key: string) => string | null {
	const known = new Set(
		numberingsOf(release).flatMap(({ cards }) => cards.map(({ card }) => card.key))
	);
	return (key) => {
		const card = parseVersionKey(key)?.card;
		return card !== undefined && known.has(card) ? card : null;
	};
}
