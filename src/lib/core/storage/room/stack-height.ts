import { cardUm, toPt, type ThicknessUnit } from '../../measuring/stock.ts';
import { holderKindOf } from '../kinds/holder-kind.ts';

/** Equal cards in a stack or a row. */
export interface StackPart {
	readonly count: number;
	/** In points; left out: standard stock. */
	readonly stockPt?: number;
	/** Key of what each is kept in. */
	readonly holder?: string;
}

/**
 * How high cards stand on each other, or how long they are in a row, in micrometres: stock and holders.
 *
 * @throws RangeError for an unknown holder
 */
export function stackHeightUm(parts: readonly StackPart[]): number {
	return parts.reduce(
		(sum, { count, stockPt, holder }) =>
			sum + count * (cardUm(stockPt) + (holder ? holderKindOf(holder).addsUm : 0)),
		0
	);
}

/**
 * The stock of a card out of a measure: one card's thickness, or the height of a stack of equal ones.
 *
 * @throws RangeError where the count is no whole number ≥ 1
 */
export function gaugePt(value: number, unit: ThicknessUnit, count = 1): number {
	if (!Number.isInteger(count) || count < 1) throw new RangeError(`gaugePt: ${count} cards`);
	return toPt(value, unit) / count;
}

/**
 * How many cards of a stock stand in a length of so many micrometres.
 *
 * @example cardsIn(4572, 18) // 10
 */
export function cardsIn(lengthUm: number, stockPt?: number): number {
	return Math.floor(lengthUm / cardUm(stockPt));
}
