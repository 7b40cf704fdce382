import { ascending, group, sum } from 'd3-array';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';
import { qualityRank } from '../../copies/condition.ts';
import { monthsBetween } from './days.ts';
import { estimateOf, lastSales, type EstimateRules } from './estimate-price.ts';
import { isotonicFit } from './isotonic.ts';
import type { PricePoint } from './price-point.ts';

/** A sale counts half as much for each so many months that it lies back. A rule of ours. */
export const HALF_LIFE_MONTHS = 12;

/** The price of a version at one quality. */
export interface CurvePoint extends LabelledQuality {
	/** The typical of its last sales, in minor units, as it was found. */
	readonly typicalMinor: number;
	/** The same where a better one never costs less: the nearest such prices, recent sales weighing more. */
	readonly monotoneMinor: number;
	readonly isMoved: boolean;
	readonly sales: number;
	/** ISO 8601 date of the latest. */
	readonly on: string;
}

/** A better copy that was sold for less than a worse one. Amounts in minor units. */
export interface Inversion {
	readonly better: CurvePoint;
	readonly worse: CurvePoint;
}

/** Prices of one version over its grades, or over its condition words, of one house. */
export interface PriceCurve {
	readonly version: string;
	/** null: raw, or no house was said. */
	readonly house: string | null;
	readonly scale: 'grades' | 'conditions';
	/** The worst first. */
	readonly points: readonly CurvePoint[];
	/** Every pair that is the wrong way round, the worse copy first. They are told, and never smoothed away. */
	readonly inversions: readonly Inversion[];
}

/**
 * How the prices of versions rise with quality, by sales. Houses and scales are kept apart; authentic copies and
 * those with a qualifier stand on no scale, and raw ones of which nothing was said neither.
 *
 * @param on ISO 8601 date: what was sold later is passed over
 */
export function priceCurves(
	points: readonly PricePoint[],
	on: string,
	rules: EstimateRules
): readonly PriceCurve[] {
	const onScale = points.filter(
		({ kind, qualifier, grade, condition, on: day }) =>
			kind === 'sale' && day <= on && qualifier === undefined && (grade ?? condition) !== undefined
	);
	const lines = group(onScale, ({ version, grade, house }) =>
		JSON.stringify([version, grade === undefined ? null : (house ?? null), grade !== undefined])
	);
	return [...lines].map(([key, some]): PriceCurve => {
		const [version, house, isGraded] = JSON.parse(key) as [string, string | null, boolean];
		const curve = curveOf(some, on, rules);
		const scale = isGraded ? 'grades' : 'conditions';
		return { version, house, scale, points: curve, inversions: inversionsOf(curve) };
	});
}

function curveOf(
	points: readonly PricePoint[],
	on: string,
	rules: EstimateRules
): readonly CurvePoint[] {
	const byQuality = [...group(points, (point) => formatQuality(point)).values()].sort((a, b) =>
		ascending(rankOf(a), rankOf(b))
	);
	const found = byQuality.map((alike) => {
		const { middleMinor, on: day, lastSale, points: sales } = estimateOf(alike, on, rules);
		const weight = sum(lastSales(alike, on, rules), (sale) => recencyOf(sale, on));
		const { grade, condition } = lastSale ?? {};
		return {
			...(grade === undefined ? {} : { grade }),
			...(grade !== undefined || condition === undefined ? {} : { condition }),
			...{ typicalMinor: middleMinor ?? 0, sales, on: day ?? on, weight }
		};
	});
	const fitted = isotonicFit(
		found.map(({ typicalMinor }) => typicalMinor),
		found.map(({ weight }) => weight)
	);
	return found.map(({ weight: _, ...point }, i) => {
		const monotoneMinor = Math.round(fitted[i] ?? point.typicalMinor);
		return { ...point, monotoneMinor, isMoved: monotoneMinor !== point.typicalMinor };
	});
}

/** From so many half-lives on a sale weighs no less: weights stay numbers that can be divided by. */
const MOST_HALF_LIVES = 40;

/** What a sale weighs on a day: 1 on that day, half of it for each half-life. */
function recencyOf({ on: day }: PricePoint, on: string): number {
	return 0.5 ** Math.min(MOST_HALF_LIVES, monthsBetween(day, on) / HALF_LIFE_MONTHS);
}

function rankOf([first]: readonly PricePoint[]): number {
	return qualityRank(first ?? {});
}

function inversionsOf(curve: readonly CurvePoint[]): readonly Inversion[] {
	return curve.flatMap((worse, i) =>
		curve
			.slice(i + 1)
			.filter(({ typicalMinor }) => typicalMinor < worse.typicalMinor)
			.map((better) => ({ better, worse }))
	);
}
