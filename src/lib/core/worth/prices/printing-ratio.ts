import { group, max, median, min } from 'd3-array';
import { formatQuality } from '../../copies/quality-label.ts';
import { estimateOf, type EstimateRules } from './estimate-price.ts';
import type { PricePoint } from './price-point.ts';

/** How many times as much one printing costs as another. */
export interface PrintingRatio {
	readonly version: string;
	readonly against: string;
	/** The median over the qualities in which both were sold; null: there is none. */
	readonly ratio: number | null;
	readonly low: number | null;
	readonly high: number | null;
	/** The qualities, as labels, with the house behind where it is said: "8 Gull", "near mint". */
	readonly qualities: readonly string[];
}

/**
 * What a printing (a parallel, an error and its correction) costs against another: typical sale by typical sale at the same
 * quality and house. A quality in which only one of them was sold says nothing.
 *
 * @param on ISO 8601 date
 */
export function printingRatio(
	points: readonly PricePoint[],
	version: string,
	against: string,
	on: string,
	rules: EstimateRules
): PrintingRatio {
	const sales = points.filter((point) => point.kind === 'sale' && point.on <= on);
	const typicalOf = (key: string) =>
		new Map(
			[
				...group(
					sales.filter((point) => point.version === key),
					(point) => `${formatQuality(point)} ${point.house ?? ''}`.trim()
				)
			].map(([label, alike]) => [label, estimateOf(alike, on, rules).middleMinor])
		);
	const others = typicalOf(against);
	const ratios = [...typicalOf(version)].flatMap(([label, dear]) => {
		const cheap = others.get(label) ?? 0;
		return dear === null || cheap === 0 ? [] : [{ label, ratio: dear / cheap }];
	});
	const by = ({ ratio }: { readonly ratio: number }) => ratio;
	return {
		...{ version, against },
		...{ ratio: median(ratios, by) ?? null, low: min(ratios, by) ?? null },
		...{ high: max(ratios, by) ?? null, qualities: ratios.map(({ label }) => label).sort() }
	};
}
