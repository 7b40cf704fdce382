import { toPt } from './stock.ts';

/** How thick one card of a stack is, in points (1 pt = 0.001 in). */
export interface StackThickness {
	readonly pt: number;
	/** It is off by this at most. */
	readonly offByPt: number;
}

/** How exactly a stack is read off a ruler with a vernier, in millimetres. An assumption of ours. */
export const READING_MM = 0.1;

/**
 * The thickness of a card by that of a stack of equal ones, pressed together: the more cards, the less a misreading counts.
 *
 * @throws RangeError for no card, or a height that is none
 * @example stackThickness({ cards: 20, heightMm: 9.144 }).pt // 18
 */
export function stackThickness({
	cards,
	heightMm,
	readingMm = READING_MM
}: {
	readonly cards: number;
	readonly heightMm: number;
	readonly readingMm?: number;
}): StackThickness {
	if (!(cards >= 1) || !(heightMm > 0)) {
		throw new RangeError(`stackThickness: ${cards} cards of ${heightMm} mm`);
	}
	const pt = (mm: number) => Math.round((toPt(mm, 'mm') / cards) * 1e6) / 1e6;
	return { pt: pt(heightMm), offByPt: pt(readingMm) };
}
