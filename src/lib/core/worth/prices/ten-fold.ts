import { group, median } from 'd3-array';
import { formatQuality } from '../../copies/quality-label.ts';
import { middleOf } from './price.ts';
import type { PricePoint } from './price-point.ts';

/** How far from ten times (or a tenth) a slip of the decimal mark may be. A rule of thumb of ours. */
const TEN_FOLD = { from: 7, to: 14 } as const;

/**
 * Whether one of two prices is some ten times the other.
 *
 * @example [isTenFold(240, 2400), isTenFold(300, 2400), isTenFold(100, 400)] // [true, true, false]
 */
export function isTenFold(a: number, b: number): boolean {
	const ratio = Math.max(a, b) / Math.min(a, b);
	return ratio >= TEN_FOLD.from && ratio <= TEN_FOLD.to;
}

/** A price point that seems to have a slipped decimal mark. */
export interface TenFoldSlip<Point extends PricePoint = PricePoint> {
	readonly point: Point;
	/** The median of the others of the same version, quality and house, in minor units. */
	readonly againstMinor: number;
	/** How many others these are; with a single one nobody knows which of the two is wrong. */
	readonly others: number;
}

/**
 * Points that are ten times, or a tenth, of the median of the others like them. Nothing is changed or left out by it; a
 * point that gives its reason is meant as it is.
 */
export function tenFoldSlips<Point extends PricePoint>(
	points: readonly Point[]
): readonly TenFoldSlip<Point>[] {
	const alike = group(points, (point) =>
		JSON.stringify([point.version, formatQuality(point), point.house ?? ''])
	);
	return [...alike.values()].flatMap((some) => {
		const middles = some.map(middleOf);
		return some.flatMap((point, i): readonly TenFoldSlip<Point>[] => {
			const others = middles.filter((_, j) => j !== i);
			const againstMinor = Math.round(median(others) ?? 0);
			const middle = middles[i] ?? 0;
			const isSlip =
				point.reason === undefined &&
				middle > 0 &&
				againstMinor > 0 &&
				isTenFold(middle, againstMinor);
			return isSlip ? [{ point, againstMinor, others: others.length }] : [];
		});
	});
}

/**
 * The same, each told once: of two prices that are ten-fold of each other either may be wrong, and only the later is told, beside
 * the other.
 */
export function eachSlipOnce<Point extends PricePoint>(
	slips: readonly TenFoldSlip<Point>[]
): readonly TenFoldSlip<Point>[] {
	const nameOf = ({ version, house = '', ...quality }: PricePoint) =>
		JSON.stringify([version, formatQuality(quality), house]);
	return slips.filter(
		({ point, others }, i) =>
			others > 1 ||
			!slips.some(
				(other, j) =>
					i !== j &&
					nameOf(other.point) === nameOf(point) &&
					(other.point.on > point.on || (other.point.on === point.on && j > i))
			)
	);
}
