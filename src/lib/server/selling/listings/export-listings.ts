import { zipSync, strToU8 } from 'fflate';
import { inArray } from 'drizzle-orm';
import { formatMinor } from '../../../core/money/minor-units.ts';
import type { ListingId } from '../../../core/row-id.ts';
import { formatCsv } from '../../../formats/csv-cells.ts';
import type { Reader } from '../../database/open.ts';
import { listings } from '../../database/tables/index.ts';
import { photosOf, readPicture } from '../../media/photos.ts';
import { OPEN, readListings, type ReadListing } from './read-listings.ts';

/** The most photos of one listing, and of all of them together: they are held in memory. */
const MOST_PHOTOS = 12;
const MOST_ALL = 300;

/** What the table says, a line each. */
const HEADER = [
	...['Listing', 'Kind', 'Title', 'Text', 'Channel', 'State'],
	...['Price', 'Currency', 'Cards', 'Photos']
];

/**
 * Listings for a market: a table of them, or that table with the photos in one zip. The floor is nobody's business but the
 * seller's, and is left out.
 *
 * @param ids empty: all that are ready or listed
 */
export async function exportListings(
	db: Reader,
	form: 'csv' | 'zip',
	ids: readonly ListingId[]
): Promise<string | Uint8Array<ArrayBuffer>> {
	const all = await readListings(db, ids.length > 0 ? inArray(listings.id, [...ids]) : OPEN);
	const asked =
		ids.length > 0 ? all : all.filter(({ state }) => state === 'ready' || state === 'listed');
	const photos = await photosOf(
		db,
		asked.flatMap(({ cards }) => cards.flatMap(({ copyId }) => copyId ?? []))
	);
	const files = new Map(
		asked.map((listing) => [
			listing.id,
			photos
				.filter(({ copyId }) => listing.cards.some((card) => card.copyId === copyId))
				.slice(0, MOST_PHOTOS)
				.map(({ hash }, i) => ({ hash, name: `photos/${listing.id}-${i + 1}.webp` }))
		])
	);
	const csv = formatCsv([
		HEADER,
		...asked.toReversed().map((listing) =>
			rowOf(
				listing,
				(files.get(listing.id) ?? []).map(({ name }) => name)
			)
		)
	]);
	if (form === 'csv') return csv;
	const zipped: Record<string, Uint8Array> = { 'listings.csv': strToU8(csv) };
	for (const { hash, name } of [...files.values()].flat().slice(0, MOST_ALL)) {
		const picture = await readPicture(db, hash, 'whole');
		if (picture) zipped[name] = new Uint8Array(picture);
	}
	// Pictures are compressed already.
	return new Uint8Array(zipSync(zipped, { level: 1 }));
}

function rowOf(listing: ReadListing, photos: readonly string[]): readonly string[] {
	const { id, kind, title, text, channel, state, askingMinor, currency, count } = listing;
	return [
		...[`${id}`, kind, title, text, channel, state],
		...[formatMinor(askingMinor, currency), currency, `${count}`, photos.join(' ')]
	];
}
