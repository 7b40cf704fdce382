import { writeKnowledge } from '../../formats/knowledge-file.ts';
import { MOST_PICTURES, MOST_PRICES } from '../../schemas/knowledge.ts';
import type { Reader } from '../database/open.ts';
import { readPicture } from '../media/photos.ts';
import { loadRelease } from '../releases/load-release.ts';
import { readMine } from './read-mine.ts';

export interface KnowledgeAsk {
	/** Key of the release. */
	readonly release: string;
	/** Who has learnt it. */
	readonly from: string;
	readonly hasPictures: boolean;
	readonly hasPrices: boolean;
	/** ISO 8601 day */
	readonly on: string;
}

/** What is known of a release as one open file; null where there is no such release. */
export async function exportKnowledge(
	db: Reader,
	{ release: key, from, hasPictures, hasPrices, on }: KnowledgeAsk
): Promise<Uint8Array<ArrayBuffer> | null> {
	const stored = await loadRelease(db, key);
	if (!stored) return null;
	const mine = await readMine(db, stored);
	const pictures = hasPictures ? mine.pictures.slice(0, MOST_PICTURES) : [];
	const files = new Map<string, Uint8Array>();
	for (const hash of new Set(pictures.map((picture) => picture.hash))) {
		const bytes = await readPicture(db, hash, 'whole');
		if (bytes) files.set(hash, bytes);
	}
	return writeKnowledge({
		...{ from, on, release: stored.release, files },
		knowledge: {
			...mine,
			pictures: pictures.filter(({ hash }) => files.has(hash)),
			// Of very many the newest.
			prices: hasPrices ? mine.prices.slice(-MOST_PRICES) : []
		}
	});
}
