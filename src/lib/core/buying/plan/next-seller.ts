import { median, sum } from 'd3-array';
import { postageOf, slopeOf, type PostageRule } from '../offers/postage-rule.ts';
import { CARD_GRAMS } from '../offers/offer.ts';

/** A want, with what it costs by the best way known so far. */
export interface SoughtWant {
	readonly key: string;
	readonly quantity: number;
	/** What it usually costs, in minor units: by this sellers are told to be dear or not. */
	readonly usualMinor: number;
	/** What it costs by the best way known, its postage with it; null: nobody is known to have it. */
	readonly knownMinor: number | null;
}

/** A seller as far as their list has been looked at. */
export interface SeenSeller {
	readonly key: string;
	readonly postage: PostageRule;
	/** Wants that were found there, with their price. */
	readonly found: readonly { readonly want: string; readonly minor: number }[];
	/** Wants that were looked for there and not found. */
	readonly notFound: readonly string[];
	/** What was found was picked out of a list, not looked for want by want: it says nothing of the rest. */
	readonly isPicked?: boolean;
	/** How many of one common they hold at most: who has many of one probably has the others. */
	readonly deepest?: number;
}

/** What opening a seller's list further may bring. */
export interface SellerOutlook {
	readonly key: string;
	/** Wants not looked for yet. */
	readonly open: number;
	/** The part of them that it probably has, 0 to 1. */
	readonly chance: number;
	/** Wants it has or probably has, by sum of chances. */
	readonly expected: number;
	/** How dear it is: its prices by the usual ones, 1 is usual. */
	readonly level: number;
	/** What an order there is expected to save against the best way known, postage paid, in minor units; 0 or more. */
	readonly savingMinor: number;
}

/** Cards that nobody is known to have are worth so many times what they usually cost, postage and search with them. */
const UNKNOWN_WORTH = 1.5;
/** The weight of the other sellers' record in a seller's chance, in looks. */
const PRIOR_LOOKS = 4;
/** Of who holds so many of one card, the record counts for more: as if so many more looks had found one. */
const DEEP_FROM = 4;
const DEEP_LOOKS = 3;

/**
 * Which seller's list to open next, from what has been seen so far. A seller has a want not looked for yet with the
 * chance (hits + prior) / (looks + prior), where the prior is the record of all sellers (a beta prior of
 * `PRIOR_LOOKS` looks), and whoever holds many of one card counts as having more: ● sellers who have many of one common
 * probably have the others, common practice, no source. Its prices are taken to be as far from the usual ones as those
 * that were seen. What an order saves is reckoned card by card against the best way known, less its postage; ranked by
 * that.
 */
export function nextSeller(
	wants: readonly SoughtWant[],
	sellers: readonly SeenSeller[]
): readonly SellerOutlook[] {
	const byKey = new Map(wants.map((want) => [want.key, want]));
	const telling = sellers.filter(({ isPicked }) => !isPicked);
	const looks = sum(telling, ({ found, notFound }) => found.length + notFound.length);
	const hits = sum(telling, ({ found }) => found.length);
	const usualChance = (hits + 1) / (looks + 2);
	const levels = sellers.map(({ found }) => levelOf(found));
	const usualLevel = median(levels.flatMap((level) => level ?? [])) ?? 1;
	return sellers
		.map((seller, s): SellerOutlook => {
			const { key, postage, found, notFound, deepest = 0 } = seller;
			const deep = deepest >= DEEP_FROM ? DEEP_LOOKS : 0;
			const [seen, all] = seller.isPicked ? [0, 0] : [found.length, found.length + notFound.length];
			const chance = (seen + deep + PRIOR_LOOKS * usualChance) / (all + deep + PRIOR_LOOKS);
			const level = levels[s] ?? usualLevel;
			const isSeen = new Set([...found.map(({ want }) => want), ...notFound]);
			const open = wants.filter((want) => !isSeen.has(want.key));
			const further = slopeOf(postage, CARD_GRAMS);
			const savingOf = (want: SoughtWant, minor: number) =>
				want.quantity *
				Math.max(0, (want.knownMinor ?? UNKNOWN_WORTH * want.usualMinor) - minor - further);
			const sure = sum(found, ({ want, minor }) => {
				const asked = byKey.get(want);
				return asked ? savingOf(asked, minor) : 0;
			});
			const hoped = chance * sum(open, (want) => savingOf(want, level * want.usualMinor));
			const expected = found.filter(({ want }) => byKey.has(want)).length + chance * open.length;
			const first = postageOf(postage, { cards: 1, grams: CARD_GRAMS, amountMinor: 0 });
			const fee = first === Infinity ? 0 : first - further;
			const savingMinor = Math.max(0, Math.round(sure + hoped - fee));
			return { key, open: open.length, chance, expected, level, savingMinor };
		})
		.sort((a, b) => b.savingMinor - a.savingMinor || b.expected - a.expected);

	function levelOf(found: SeenSeller['found']): number | null {
		const ratios = found.flatMap(({ want, minor }) => {
			const usual = byKey.get(want)?.usualMinor ?? 0;
			return usual > 0 ? [minor / usual] : [];
		});
		return median(ratios) ?? null;
	}
}
