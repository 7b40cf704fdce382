import { group, sum } from 'd3-array';
import { and, desc, inArray, isNull, or, type SQL } from 'drizzle-orm';
import { convertMinor, type ExchangeRate } from '../../../core/money/exchange-rates.ts';
import { listingProfit, listingState, stepsOf } from '../../../core/selling/listings/listing.ts';
import type { Reader } from '../../database/open.ts';
import { listingCards, listings } from '../../database/tables/index.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';

export type ListingRow = typeof listings.$inferSelect;
export type ListingCardRow = typeof listingCards.$inferSelect;

/** A listing with its cards, where it stands, and what it leaves. */
export type ReadListing = Awaited<ReturnType<typeof readListings>>[number];

/** Listings that are not done with, the latest first. */
export const OPEN: SQL | undefined = and(
	isNull(listings.returnedOn),
	or(isNull(listings.sentOn), isNull(listings.paidOn))
);

/** Reads listings with their cards. */
export async function readListings(db: Reader, where: SQL | undefined, most?: number) {
	const rates = await readPreference(db, EXCHANGE_RATES);
	const asked = db.select().from(listings).where(where).orderBy(desc(listings.id));
	const rows = await (most === undefined ? asked : asked.limit(most));
	const cards = group(
		await db
			.select()
			.from(listingCards)
			.where(
				inArray(
					listingCards.listingId,
					rows.map(({ id }) => id)
				)
			)
			.orderBy(listingCards.id),
		({ listingId }) => listingId
	);
	return rows.map((row) => {
		const some = cards.get(row.id) ?? [];
		const state = listingState(row);
		const costMinor = costOf(some, row.currency, rates);
		return {
			...row,
			...{ state, steps: stepsOf(state), costMinor },
			cards: some,
			count: sum(some, ({ quantity }) => quantity),
			...listingProfit({ ...row, costMinor }, state)
		};
	});
}

/** What cards cost in a currency; null: of some nobody knows, or no rate leads there. */
function costOf(
	cards: readonly ListingCardRow[],
	currency: string,
	rates: readonly ExchangeRate[]
): number | null {
	let total = 0;
	for (const { costMinor, costCurrency, quantity } of cards) {
		if (costMinor === null) return null;
		const each = convertMinor(costMinor, costCurrency ?? currency, currency, rates);
		if (each === null) return null;
		total += each * quantity;
	}
	return total;
}
