import { quantileSorted } from 'd3-array';
import { daysBetween, monthsBetween } from './days.ts';
import { likePoints, type LikeNeed, type PointIndex } from './like-points.ts';
import { middleOf, type Price } from './price.ts';
import type { PricePoint } from './price-point.ts';

/** What an estimate is reckoned by. */
export interface EstimateRules {
	/** The most sales that are looked at, the latest first. */
	readonly mostSales: number;
	/** A sale is old when it is further back than so many months. */
	readonly oldMonths: number;
}

/** Common practice, no source: the typical of the last three to five sales. Two years: a rule of ours. */
export const USUAL_ESTIMATE_RULES: EstimateRules = { mostSales: 5, oldMonths: 24 };

/** The least sales that make a typical price; an older one is taken rather than fewer. */
const LEAST_SALES = 3;

/** `sales`: the median of the last sales. `asking`, `estimate`: nothing was sold, the last that was said. `unknown`: nothing at all. */
export const ESTIMATE_BASES = ['sales', 'asking', 'estimate', 'unknown'] as const;
export type EstimateBasis = (typeof ESTIMATE_BASES)[number];

/** `lone sale`: a single one. `two sales`: fewer than make a typical price. `old`: the latest is further back than the rule says. `no sale`: nobody is known to have paid anything. */
export const ESTIMATE_FLAGS = ['lone sale', 'two sales', 'old', 'no sale'] as const;
export type EstimateFlag = (typeof ESTIMATE_FLAGS)[number];

/** What a copy is worth, by what copies like it were sold for. Amounts in minor units. */
export interface PriceEstimate {
	readonly basis: EstimateBasis;
	/** null: nothing is known. */
	readonly middleMinor: number | null;
	/** From the lowest to the highest of the prices that it rests on. */
	readonly lowMinor: number | null;
	readonly highMinor: number | null;
	/**
	 * How surely the middle of such sales lies between them: 1 − 2^(1 − n) for n sales, whatever their
	 * distribution (interval of the sign test; Conover, Practical Nonparametric Statistics, 3.2). 0 for one sale; null: no sales.
	 */
	readonly confidence: number | null;
	/** How many prices it rests on. */
	readonly points: number;
	/** The day of the latest of them (ISO 8601), and how long ago that is. */
	readonly on: string | null;
	readonly ageDays: number | null;
	readonly flags: readonly EstimateFlag[];
	/** The latest sale by itself. */
	readonly lastSale: PricePoint | null;
	/** The last that was asked for one like it. */
	readonly asking: (Price & { readonly on: string }) | null;
}

/**
 * What a copy is worth on a day. Only like counts: the same version, condition or grade, and house. The last sales, up to
 * five, make it: those that are not old, or the last three where fewer are recent; their median is the middle. What
 * was said after that day is passed over.
 *
 * @param on ISO 8601 date
 */
export function estimatePrice(
	index: PointIndex,
	need: LikeNeed,
	on: string,
	rules: EstimateRules = USUAL_ESTIMATE_RULES
): PriceEstimate {
	return estimateOf(likePoints(index, need), on, rules);
}

/** The same of points that are alike already. */
export function estimateOf(
	alike: readonly PricePoint[],
	on: string,
	rules: EstimateRules = USUAL_ESTIMATE_RULES
): PriceEstimate {
	let asking: PricePoint | null = null;
	let guess: PricePoint | null = null;
	for (const point of alike) {
		// Of one day the one that was noted last.
		if (point.kind === 'sale' || point.on > on) continue;
		if (point.kind === 'asking') {
			if (!asking || point.on >= asking.on) asking = point;
		} else if (!guess || point.on >= guess.on) guess = point;
	}
	const sales = lastSales(alike, on, rules);
	const said = asking ?? guess;
	const resting = sales.length > 0 ? sales : said ? [said] : [];
	let latest: string | null = null;
	let [low, high] = [Infinity, 0];
	for (const point of resting) {
		if (latest === null || point.on > latest) latest = point.on;
		low = Math.min(low, point.lowMinor);
		high = Math.max(high, point.highMinor);
	}
	const isOld = latest !== null && monthsBetween(latest, on) > rules.oldMonths;
	const middle = quantileSorted(
		resting.map(middleOf).sort((a, b) => a - b),
		0.5
	);
	return {
		basis: sales.length > 0 ? 'sales' : asking ? 'asking' : guess ? 'estimate' : 'unknown',
		middleMinor: middle === undefined ? null : Math.round(middle),
		lowMinor: latest === null ? null : low,
		highMinor: latest === null ? null : high,
		confidence: sales.length === 0 ? null : 1 - 2 ** (1 - sales.length),
		points: resting.length,
		on: latest,
		ageDays: latest === null ? null : daysBetween(latest, on),
		flags: [
			...(sales.length === 1 ? (['lone sale'] as const) : []),
			...(sales.length === 2 ? (['two sales'] as const) : []),
			...(sales.length === 0 ? (['no sale'] as const) : []),
			...(isOld ? (['old'] as const) : [])
		],
		lastSale: sales[0] ?? null,
		asking: asking && { lowMinor: asking.lowMinor, highMinor: asking.highMinor, on: asking.on }
	};
}

/** The sales that count, the latest first; of one day the one that was noted last. */
export function lastSales(
	points: readonly PricePoint[],
	on: string,
	{ mostSales, oldMonths }: EstimateRules
): readonly PricePoint[] {
	const sales = points.filter((point) => point.kind === 'sale' && point.on <= on);
	if (sales.length > 1) sales.reverse().sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0));
	sales.length = Math.min(sales.length, mostSales);
	return sales.filter(
		(sale, i) => i < Math.min(LEAST_SALES, mostSales) || monthsBetween(sale.on, on) <= oldMonths
	);
}
