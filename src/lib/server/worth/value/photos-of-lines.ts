import { asc, eq } from 'drizzle-orm';
import sharp from 'sharp';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { formatQuality, type LabelledQuality } from '../../../core/copies/quality-label.ts';
import type { PrintedPhoto } from '../../../formats/printed-photo.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import type { Reader } from '../../database/open.ts';
import { copies, photos, releases } from '../../database/tables/index.ts';
import { readPicture } from '../../media/photos.ts';

/** Equal copies that stand as a row of a list. */
interface ListedLine extends LabelledQuality {
	readonly version: string;
	readonly house?: string;
	readonly row: number;
}

/** The most photos of a list, and their longest side in it: all are held in memory. */
const MOST_PHOTOS = 200;
const LONGEST_SIDE = 500;

/** The photos of the copies that rows stand for, in the order of the rows, as JPEG. */
export async function photosOfLines(
	db: Reader,
	lines: readonly ListedLine[],
	nameOf: (version: string) => string
): Promise<readonly PrintedPhoto[]> {
	const taken = await db
		.select({ hash: photos.hash, copy: copies, release: releases.key })
		.from(photos)
		.innerJoin(copies, eq(copies.id, photos.copyId))
		.innerJoin(releases, eq(releases.id, copies.releaseId))
		.orderBy(asc(photos.copyId), asc(photos.position));
	const hashes = new Map<string, string[]>();
	for (const { hash, copy, release } of taken) {
		const { cardKey: card, parallelKey: parallel, variantKey: variant } = copy;
		const key = lineKey({
			version: formatVersionKey({ release, card, parallel, variant }),
			...qualityOfRow(copy),
			...(copy.house === null ? {} : { house: copy.house })
		});
		hashes.set(key, [...(hashes.get(key) ?? []), hash]);
	}
	const wanted = lines
		.flatMap((line) => (hashes.get(lineKey(line)) ?? []).map((hash) => ({ hash, line })))
		.slice(0, MOST_PHOTOS);
	const printed: PrintedPhoto[] = [];
	for (const { hash, line } of wanted) {
		const picture = await readPicture(db, hash, 'whole');
		if (!picture) continue;
		const { data, info } = await sharp(picture)
			.resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside' })
			.jpeg({ quality: 82 })
			.toBuffer({ resolveWithObject: true });
		const { version, row } = line;
		const jpeg = new Uint8Array(data);
		printed.push({
			jpeg,
			widthPx: info.width,
			heightPx: info.height,
			caption: nameOf(version),
			row
		});
	}
	return printed;
}

/** What makes copies equal in a list. */
function lineKey({ version, house, ...quality }: Omit<ListedLine, 'row'>): string {
	return [version, formatQuality(quality), house].join('|');
}
