import { sum } from 'd3-array';
import { coverSets, type PartOffer, type PartPurchase } from './cover-sets.ts';

/** A part of the set that is bought together: commons, inserts, a key card. Amounts in minor units. */
export interface BuildPart {
	readonly key: string;
	readonly isKey: boolean;
	/** What it sells for by itself, of one set; null: nobody has said. */
	readonly valueMinor: number | null;
	readonly offers: readonly PartOffer[];
}

/** Sets of one release that are built to be sold. Amounts in minor units. */
export interface BuildPlanGround {
	readonly parts: readonly BuildPart[];
	/** What sets bring: the first so many at this price, the next at that; more than all together are not sold. */
	readonly sales: readonly { readonly sets: number; readonly priceMinor: number }[];
	/** What the market takes of the price: 0 to 1. */
	readonly feeShare: number;
	/** Box, dividers; padding and parcel; postage that the seller pays: of each set. */
	readonly suppliesMinor: number;
	readonly packingMinor: number;
	readonly postageMinor: number;
	readonly fixedMinor: number;
	readonly hoursFixed: number;
	readonly hoursPerSet: number;
	/** The most sets that are looked at. */
	readonly mostSets: number;
}

/** So many sets, built and sold. */
export interface BuildOutcome {
	readonly sets: number;
	readonly cardsMinor: number;
	readonly suppliesMinor: number;
	readonly packingMinor: number;
	readonly feesMinor: number;
	readonly fixedMinor: number;
	readonly costMinor: number;
	readonly revenueMinor: number;
	/** Below nothing: lost. */
	readonly profitMinor: number;
	readonly costPerSetMinor: number;
	readonly hours: number;
	readonly hoursPerSet: number;
	/** null: it takes no time. */
	readonly profitPerHourMinor: number | null;
	/** What is bought, by part. */
	readonly parts: readonly ({ readonly part: string } & PartPurchase)[];
}

export type BuildVerdict =
	'build' | 'does not pay' | 'price the key cards first' | 'parts are missing';

export interface BuildPlan {
	/** 1, 2, … sets; none where there is not enough of a part or nobody buys so many. */
	readonly outcomes: readonly BuildOutcome[];
	/** The fewest sets with which nothing is lost; null: none. */
	readonly breakEvenSets: number | null;
	/** The number that wins most; null: every number loses. */
	readonly bestSets: number | null;
	/** The number that wins most an hour; null likewise, or no time is reckoned. */
	readonly bestPerHourSets: number | null;
	/** What of the first set's price the key cards make; null: a price of them is missing. */
	readonly keyShare: number | null;
	readonly verdict: BuildVerdict;
	/** Parts of which nothing is offered. */
	readonly missing: readonly string[];
}

/**
 * Whether building sets to sell pays, and how many (● key cards can be half of a set's resale value: without a price of them it says so): for each number the cheapest purchase of each part, supplies, packing,
 * fees, and the hours it takes.
 *
 * @throws RangeError for less than one set
 */
export function buildToSell(ground: BuildPlanGround): BuildPlan {
	const { parts, sales, mostSets } = ground;
	if (!(mostSets >= 1)) throw new RangeError(`buildToSell: ${mostSets} sets`);
	const wanted = sum(sales, ({ sets }) => sets);
	const purchases = parts.map(({ offers }) => coverSets(offers, mostSets));
	const outcomes: BuildOutcome[] = [];
	for (let sets = 1; sets <= Math.min(mostSets, wanted); sets++) {
		const bought = parts.flatMap(({ key: part }, i) => {
			const purchase = purchases[i]?.[sets];
			return purchase ? [{ part, ...purchase }] : [];
		});
		if (bought.length < parts.length) break;
		outcomes.push(outcomeOf(sets, bought, ground));
	}
	const missing = parts.flatMap(({ key, offers }) => (offers.length === 0 ? [key] : []));
	const bestOf = (by: (outcome: BuildOutcome) => number | null) =>
		outcomes.reduce<BuildOutcome | null>(
			(best, each) =>
				each.profitMinor > 0 && (by(each) ?? -1) > (best ? (by(best) ?? -1) : 0) ? each : best,
			null
		)?.sets ?? null;
	const keys = parts.filter(({ isKey }) => isKey);
	const firstMinor = sales.find(({ sets }) => sets > 0)?.priceMinor ?? 0;
	const isPriced = firstMinor > 0 && keys.every(({ valueMinor }) => valueMinor !== null);
	const bestSets = bestOf(({ profitMinor }) => profitMinor);
	return {
		outcomes,
		breakEvenSets: outcomes.find(({ profitMinor }) => profitMinor >= 0)?.sets ?? null,
		bestSets,
		bestPerHourSets: bestOf(({ profitPerHourMinor }) => profitPerHourMinor),
		keyShare: isPriced ? sum(keys, ({ valueMinor }) => valueMinor ?? 0) / firstMinor : null,
		verdict: verdictOf(parts, missing, outcomes.length, bestSets),
		missing
	};
}

function verdictOf(
	parts: readonly BuildPart[],
	missing: readonly string[],
	count: number,
	bestSets: number | null
): BuildVerdict {
	const isKeyMissing = parts.some(({ key, isKey }) => isKey && missing.includes(key));
	if (isKeyMissing) return 'price the key cards first';
	if (count === 0) return 'parts are missing';
	return bestSets === null ? 'does not pay' : 'build';
}

function outcomeOf(
	sets: number,
	parts: BuildOutcome['parts'],
	ground: BuildPlanGround
): BuildOutcome {
	const cardsMinor = sum(parts, ({ costMinor }) => costMinor);
	const suppliesMinor = sets * ground.suppliesMinor;
	const packingMinor = sets * (ground.packingMinor + ground.postageMinor);
	const revenueMinor = revenueOf(sets, ground.sales);
	const feesMinor = Math.round(revenueMinor * ground.feeShare);
	const { fixedMinor } = ground;
	const costMinor = cardsMinor + suppliesMinor + packingMinor + feesMinor + fixedMinor;
	const profitMinor = revenueMinor - costMinor;
	const hours = ground.hoursFixed + sets * ground.hoursPerSet + sum(parts, (part) => part.hours);
	return {
		...{ sets, cardsMinor, suppliesMinor, packingMinor, feesMinor, fixedMinor },
		...{ costMinor, revenueMinor, profitMinor },
		costPerSetMinor: Math.round(costMinor / sets),
		hours,
		hoursPerSet: hours / sets,
		profitPerHourMinor: hours > 0 ? Math.round(profitMinor / hours) : null,
		parts
	};
}

function revenueOf(sets: number, sales: BuildPlanGround['sales']): number {
	let left = sets;
	return sum(sales, ({ sets: some, priceMinor }) => {
		const sold = Math.min(left, some);
		left -= sold;
		return sold * priceMinor;
	});
}
