import { STANDARD_CARD } from '../../measuring/card-size.ts';
import type { CardFormat } from '../../checklist/card-format.ts';
import { STANDARD_STOCK_PT } from '../../measuring/stock.ts';
import { holderKindOf } from '../kinds/holder-kind.ts';

/** ● A standard card weighs about 1.8 g. Common practice, no source. */
const CARD_G = 1.8;
/** The load constant of the revised NIOSH lifting equation (Waters et al., 1993): under ideal conditions. */
const NIOSH_LOAD_G = 23_000;
/** From here on both hands and a straight back are asked for: five thousand cards. An assumption of ours. */
export const MIND_G = 9000;

export interface WeighedPart {
	readonly count: number;
	readonly format?: CardFormat;
	readonly holder?: string;
}

export const LIFTS = ['light', 'with care', 'too heavy'] as const;
/** `too heavy`: over the published load constant, which already supposes ideal conditions. */
export type Lift = (typeof LIFTS)[number];

export interface BoxWeight {
	readonly grams: number;
	readonly lift: Lift;
	/** A caution in words; null: none is needed. */
	readonly caution: string | null;
}

/** What a card weighs, in grams: a standard one scaled by its stock and its size. */
export function cardG(format: CardFormat = {}): number {
	const area =
		((format.widthMm ?? STANDARD_CARD.widthMm) * (format.heightMm ?? STANDARD_CARD.heightMm)) /
		(STANDARD_CARD.widthMm * STANDARD_CARD.heightMm);
	return CARD_G * area * ((format.stockPt ?? STANDARD_STOCK_PT) / STANDARD_STOCK_PT);
}

/** What a box weighs with its cards and their holders, and how to lift it. */
export function boxWeight(parts: readonly WeighedPart[], tareG: number): BoxWeight {
	const grams = Math.round(
		parts.reduce(
			(sum, { count, format, holder }) =>
				sum + count * (cardG(format) + (holder ? holderKindOf(holder).addsG : 0)),
			tareG
		)
	);
	if (grams > NIOSH_LOAD_G) {
		return {
			grams,
			lift: 'too heavy',
			caution:
				'Over 23 kg, the most that the NIOSH equation allows under ideal conditions: split it, or lift it in two.'
		};
	}
	return grams >= MIND_G
		? {
				grams,
				lift: 'with care',
				caution: 'Lift with both hands and a straight back, and keep it on a low shelf.'
			}
		: { grams, lift: 'light', caution: null };
}

/** Whether a shelf bears its boxes, against the rating its maker gives; null: no rating is known. */
export function shelfLoad(
	boxG: readonly number[],
	ratingG: number | null
): { readonly grams: number; readonly isOver: boolean | null } {
	const grams = boxG.reduce((sum, weight) => sum + weight, 0);
	return { grams, isOver: ratingG === null ? null : grams > ratingG };
}
