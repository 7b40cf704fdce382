import { group, least, max, median } from 'd3-array';
import { conditionRank, type Condition } from '../../copies/condition.ts';
import { formatQuality } from '../../copies/quality-label.ts';
import type { GradeNeed } from '../../goal/slot.ts';
import type { PriceKind, PricePoint } from '../../worth/prices/price-point.ts';
import { middleOf, type Price } from '../../worth/prices/price.ts';

/** What a want is expected to cost, and how that is known. */
export interface KnownPrice extends Price {
	readonly version: string;
	readonly kind: PriceKind;
	/** Points that it comes from. */
	readonly points: number;
	/** The day (ISO 8601) of the latest of them. */
	readonly on: string;
	readonly reason?: string;
}

/** What is asked of a copy for a want. */
export interface PriceNeed {
	readonly versions: readonly string[];
	readonly leastCondition?: Condition;
	readonly graded?: GradeNeed;
}

/** Sales that are looked at: the last so many. Common practice, no source: the last three to five sales. */
const LAST_SALES = 5;

/**
 * What a want is expected to cost by the price book. Points of one version in one condition (or grade) make a
 * price: the last that was said, with its range; where something was sold since, the median of its last five
 * sales. Of all prices that would serve the want the cheapest counts. Points of a copy not good enough are
 * passed over, graded copies too where none is asked for; those that say no condition are taken. Null: nobody
 * has said anything.
 *
 * @example typicalPrice([], { versions: ['r/base-1'] }) // null
 */
export function typicalPrice(points: readonly PricePoint[], need: PriceNeed): KnownPrice | null {
	const serving = points.filter(
		(point) => need.versions.includes(point.version) && serves(point, need)
	);
	const alike = group(serving, (point) => `${point.version} ${formatQuality(point)}`);
	const prices = [...alike.values()].flatMap((some) => priceOfAlike(some) ?? []);
	return least(prices, (a, b) => middleOf(a) - middleOf(b) || a.lowMinor - b.lowMinor) ?? null;
}

function serves(point: PricePoint, { leastCondition, graded }: PriceNeed): boolean {
	const { condition, grade, isAuthentic, house } = point;
	if (!graded) {
		if (grade !== undefined || isAuthentic) return false;
		return condition === undefined || conditionRank(condition) >= conditionRank(leastCondition);
	}
	const isHouse = !graded.houses || (house !== undefined && graded.houses.includes(house));
	return grade !== undefined && grade >= (graded.least ?? 0) && isHouse;
}

/** Points of one version in one condition. */
function priceOfAlike(points: readonly PricePoint[]): KnownPrice | null {
	const latest = (some: readonly PricePoint[]) => max(some, ({ on }) => on) ?? '';
	const sales = points.filter(({ kind }) => kind === 'sale');
	const said = points.filter(({ kind }) => kind !== 'sale');
	if (sales.length > 0 && (said.length === 0 || latest(sales) > latest(said))) {
		const last = [...sales].sort((a, b) => b.on.localeCompare(a.on)).slice(0, LAST_SALES);
		const [first] = last;
		if (!first) return null;
		return {
			version: first.version,
			lowMinor: Math.round(median(last, ({ lowMinor }) => lowMinor) ?? 0),
			highMinor: Math.round(median(last, ({ highMinor }) => highMinor) ?? 0),
			kind: 'sale',
			points: last.length,
			on: first.on
		};
	}
	// Of those of one day the last in the list counts: it was said last.
	const point = said.reduce<PricePoint | null>(
		(best, each) => (best && best.on > each.on ? best : each),
		null
	);
	if (!point) return null;
	const { version, lowMinor, highMinor, kind, on, reason } = point;
	return {
		version,
		lowMinor,
		highMinor,
		kind,
		points: 1,
		on,
		...(reason === undefined ? {} : { reason })
	};
}
