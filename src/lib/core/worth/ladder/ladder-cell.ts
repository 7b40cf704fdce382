import type { LabelledQuality } from '../../copies/quality-label.ts';
import { estimateOf, type EstimateRules, type PriceEstimate } from '../prices/estimate-price.ts';
import type { PricePoint } from '../prices/price-point.ts';

/**
 * Why a cell has no price of today. `none graded`: houses report on the card, and none of this grade. `never sold`: some
 * are, and no sale is known. `sold long ago`: the last sale is older than the rule says. `not known`: nobody has
 * recorded how many there are, and no sale.
 */
export const EMPTY_KINDS = ['none graded', 'never sold', 'sold long ago', 'not known'] as const;
export type EmptyKind = (typeof EMPTY_KINDS)[number];

/** The last sale of a cell. Amounts in minor units. */
export interface LastSale {
	readonly lowMinor: number;
	readonly highMinor: number;
	/** ISO 8601 date */
	readonly on: string;
	readonly house: string | null;
	readonly source: string | null;
}

/** A card at one grade. */
export interface LadderCell {
	readonly label: string;
	/** The typical of its last sales, in minor units; null where it is empty. */
	readonly priceMinor: number | null;
	readonly lowMinor: number | null;
	readonly highMinor: number | null;
	/** null: it has a price. */
	readonly empty: EmptyKind | null;
	readonly sales: number;
	readonly isLone: boolean;
	readonly lastSale: LastSale | null;
	/** What was asked for it last, where nothing was sold lately. */
	readonly askingMinor: number | null;
	/** How many houses say they graded; null: no house reports on the card, or the column is not of grades. */
	readonly graded: number | null;
	/** The sales are of more houses than one: like is not held against like. */
	readonly isMixed: boolean;
	/** Its place among all cards at this grade, 1 for the dearest; null: it has no price. */
	readonly rank: number | null;
}

/** What all cells are reckoned by. */
interface CellGround {
	/** Only what this house graded; null: all houses together. */
	readonly house: string | null;
	/** ISO 8601 date */
	readonly on: string;
	readonly rules: EstimateRules;
}

/** A card at one grade: its price of today, or why it has none. */
export function cellOf(
	found: readonly PricePoint[],
	{
		column,
		label,
		counts
	}: {
		readonly column: LabelledQuality;
		readonly label: string;
		readonly counts: ReadonlyMap<string, number> | null;
	},
	{ house, on, rules }: CellGround
): Omit<LadderCell, 'rank'> {
	const isGraded = column.grade !== undefined || column.isAuthentic === true;
	const alike =
		house === null || !isGraded ? found : found.filter((point) => point.house === house);
	const known = estimateOf(alike, on, rules);
	const graded = isGraded && counts ? (counts.get(label) ?? 0) : null;
	const empty = emptyOf(known, graded);
	const sale = known.lastSale;
	const isPriced = empty === null;
	const houses = new Set(
		alike.flatMap((point) => (point.kind === 'sale' && point.on <= on ? (point.house ?? '') : []))
	);
	return {
		label,
		priceMinor: isPriced ? known.middleMinor : null,
		lowMinor: isPriced ? known.lowMinor : null,
		highMinor: isPriced ? known.highMinor : null,
		empty,
		sales: known.basis === 'sales' ? known.points : 0,
		isLone: known.flags.includes('lone sale'),
		lastSale: sale && {
			...{ lowMinor: sale.lowMinor, highMinor: sale.highMinor, on: sale.on },
			...{ house: sale.house ?? null, source: sale.source ?? null }
		},
		askingMinor:
			known.asking === null
				? null
				: Math.round((known.asking.lowMinor + known.asking.highMinor) / 2),
		graded,
		isMixed: isGraded && houses.size > 1
	};
}

function emptyOf({ basis, flags }: PriceEstimate, graded: number | null): EmptyKind | null {
	if (basis === 'sales') return flags.includes('old') ? 'sold long ago' : null;
	if (graded === null) return 'not known';
	return graded === 0 ? 'none graded' : 'never sold';
}
