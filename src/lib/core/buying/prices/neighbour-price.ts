import { groups, median } from 'd3-array';
import type { Lump, PricedWant } from './priced-want.ts';
import type { Price } from '../../worth/prices/price.ts';
import { neighbourhoodOf, type SheetWant } from './sheet-want.ts';

/** Priced neighbours from which on a price is estimated. */
const LEAST_NEIGHBOURS = 3;

/** What is said of one card: its own price, or its share of a sum, which need not be whole; null: nothing. */
export function priceSaidOf(lumps: readonly Lump[]): (want: PricedWant) => Price | null {
	const shares = new Map(
		lumps.flatMap((lump) => {
			const share = {
				lowMinor: lump.lowMinor / lump.cards,
				highMinor: lump.highMinor / lump.cards
			};
			return lump.versions.map((version) => [version, share] as const);
		})
	);
	return ({ price, versions }) =>
		price ?? versions.map((version) => shares.get(version)).find(Boolean) ?? null;
}

/**
 * Estimates a card by its neighbours: the median of what is said of cards of its section, finish and rarity, where
 * that is said of three; the same card in several sets counts once. Null: of fewer.
 *
 * @param cards all cards whose prices may tell, missing or not
 */
export function neighbourPrices(
	cards: readonly PricedWant[],
	lumps: readonly Lump[]
): (want: SheetWant) => Price | null {
	const saidOf = priceSaidOf(lumps);
	const prices = new Map(
		groups(cards, neighbourhoodOf).flatMap(([place, some]) => {
			const distinct = new Map(some.map((card) => [card.versions.join(' '), card]));
			const said = [...distinct.values()].flatMap((card) => saidOf(card) ?? []);
			if (said.length < LEAST_NEIGHBOURS) return [];
			const of = (end: (price: Price) => number) => Math.round(median(said, end) ?? 0);
			const price = {
				lowMinor: of(({ lowMinor }) => lowMinor),
				highMinor: of(({ highMinor }) => highMinor)
			};
			return [[place, price] as const];
		})
	);
	return (want) => prices.get(neighbourhoodOf(want)) ?? null;
}
