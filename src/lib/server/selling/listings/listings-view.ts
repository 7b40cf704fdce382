import { group, rollups, sum } from 'd3-array';
import { and, count, inArray, isNotNull, or } from 'drizzle-orm';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import type { ListingState } from '../../../core/selling/listings/listing.ts';
import type { CopyId } from '../../../core/row-id.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { copiesToPick } from '../../copies/choose-copies.ts';
import type { Reader } from '../../database/open.ts';
import { goals, listings, slips } from '../../database/tables/index.ts';
import { photosOf } from '../../media/photos.ts';
import { placesOfCopies } from '../../places/places-of.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { SELLING_RULES } from '../selling-rules.ts';
import { OPEN, readListings } from './read-listings.ts';

/** Listings that are done of which all is shown, and cards that are named of each. */
const MOST_DONE = 40;
const MOST_NAMED = 12;

/** What has to be done first comes first. */
const URGENT: readonly ListingState[] = ['paid', 'sold', 'sent', 'listed', 'ready'];

export interface ListingsAsk {
	/** Words that copies to be listed are found by, or the copies themselves. */
	readonly words: string;
	readonly copies: readonly CopyId[];
}

/** Listings by where they stand, what they brought, and copies that could be listed. */
export async function listingsView(db: Reader, { words, copies }: ListingsAsk) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const { channels } = await readPreference(db, SELLING_RULES);
	const isDone = or(
		isNotNull(listings.returnedOn),
		and(isNotNull(listings.sentOn), isNotNull(listings.paidOn))
	);
	const open = await readListings(db, OPEN);
	const done = await readListings(db, isDone, MOST_DONE);
	const [all] = await db.select({ done: count() }).from(listings).where(isDone);
	const shown = [...open, ...done];
	const named = shown.flatMap(({ cards }) => cards.slice(0, MOST_NAMED));
	const names = await nameVersions(
		db,
		named.map(({ version }) => version)
	);
	const ids = shown.flatMap(({ cards }) => cards.flatMap(({ copyId }) => copyId ?? []));
	const places = await placesOfCopies(db, ids);
	const photos = group(await photosOf(db, ids), ({ copyId }) => copyId);
	const kept = await db
		.select({ id: slips.id })
		.from(slips)
		.where(
			inArray(
				slips.id,
				open.flatMap(({ slipId }) => slipId ?? [])
			)
		);
	const hasSlip = new Set(kept.map(({ id }) => id));
	const withCards = shown.map(({ cards, ...listing }) => ({
		...listing,
		slipId: listing.slipId !== null && hasSlip.has(listing.slipId) ? listing.slipId : null,
		photos: cards.flatMap(({ copyId }) =>
			copyId === null ? [] : (photos.get(copyId) ?? []).map(({ hash }) => hash)
		),
		cards: cards.slice(0, MOST_NAMED).map(({ id, copyId, version, quantity }) => ({
			...{ id, quantity },
			releaseKey: parseVersionKey(version)?.release ?? '',
			cardKey: parseVersionKey(version)?.card ?? '',
			name: names.get(version)?.card ?? version,
			places: (copyId === null ? [] : (places.get(copyId) ?? [])).map(({ name, row }) =>
				row === null ? name : `${name}, row ${row}`
			)
		}))
	}));
	return {
		...{ currency, channels: channels.map(({ name }) => name), words },
		groups: rollups(
			withCards.filter(({ state }) => state !== 'done' && state !== 'returned'),
			(some) => some,
			({ state }) => state
		)
			.map(([state, some]) => ({ state, listings: some }))
			.sort((a, b) => URGENT.indexOf(a.state) - URGENT.indexOf(b.state)),
		done: withCards.filter(({ state }) => state === 'done' || state === 'returned'),
		doneBefore: (all?.done ?? 0) - done.length,
		sums: await sumsOf(db),
		goals: await db.select({ id: goals.id, name: goals.name }).from(goals).orderBy(goals.id),
		...(await copiesToPick(db, words, copies))
	};
}
export type ListingsView = Awaited<ReturnType<typeof listingsView>>;

/** What was earned, by currency and channel, of all that was sold and not returned. */
async function sumsOf(db: Reader) {
	const sold = await readListings(db, isNotNull(listings.soldOn));
	return rollups(
		sold,
		(some) => ({
			sales: some.length,
			soldMinor: sum(some, ({ soldMinor, state }) => (state === 'returned' ? 0 : (soldMinor ?? 0))),
			feeMinor: sum(some, ({ feeMinor, state }) => (state === 'returned' ? 0 : (feeMinor ?? 0))),
			netMinor: sum(some, ({ netMinor }) => netMinor),
			/** Of those sales of which it is known. */
			profitMinor: sum(some, ({ profitMinor }) => profitMinor ?? 0),
			unknown: sum(some, ({ profitMinor }) => (profitMinor === null ? 1 : 0))
		}),
		({ channel, currency }) => `${currency} ${channel}`
	).map(([key, sums]) => ({ currency: key.slice(0, 3), channel: key.slice(4), ...sums }));
}
