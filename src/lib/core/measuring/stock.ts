/** 1 pt = 0.001 in, in micrometres: how the thickness of card stock is stated. */
export const UM_A_PT = 25.4;
/** Stock that is taken where a checklist says none. An assumption of ours. */
export const STANDARD_STOCK_PT = 18;
/** Film of a sleeve, both sides, in micrometres. An assumption of ours. */
export const SLEEVE_UM = 100;

/**
 * How thick a card is, in micrometres, not rounded: of five thousand cards the parts add up. Left out:
 * standard stock.
 */
export function cardUm(stockPt: number = STANDARD_STOCK_PT): number {
	return stockPt * UM_A_PT;
}

export const THICKNESS_UNITS = ['mm', 'in', 'pt'] as const;
export type ThicknessUnit = (typeof THICKNESS_UNITS)[number];

/**
 * A thickness in points: 0.9 mm is 35.4 pt, 0.035 in is 35 pt.
 *
 * @example toPt(0.035, 'in') // 35
 */
export function toPt(value: number, unit: ThicknessUnit): number {
	return unit === 'pt' ? value : unit === 'in' ? value * 1000 : (value * 1000) / UM_A_PT;
}
