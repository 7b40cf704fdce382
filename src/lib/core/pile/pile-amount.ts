import { UM_A_PT } from '../measuring/stock.ts';
import { bad, good, type Outcome } from '../problem.ts';
import { cardsIn } from '../storage/room/stack-height.ts';

/** How many cards a pile has: counted, roughly, or by how high it is. */
export interface PileAmount {
	readonly cards: number;
	/** Nobody counted them. */
	readonly isEstimate: boolean;
	/** How high the pile, or how long the row, is in micrometres, where that was measured. */
	readonly lengthUm?: number;
}

/** More cards than any pile has. */
export const MOST_IN_PILE = 1_000_000;

const UM_A_UNIT = { mm: 1000, cm: 10_000, in: 1000 * UM_A_PT } as const;
const AMOUNT = /^(about\s+)?(\d[\d.,]*)\s*(mm|cm|in|cards?)?$/i;
const REMEDY =
	'Say how many as "400", "about 400", or how high the pile is as "350 mm", "35 cm", "14 in".';

/**
 * How many cards a pile has, as people say it:
 *
 * ```
 * amount = ["about"] number ["cards"] | number ("mm" | "cm" | "in")
 * ```
 *
 * A number of cards is whole and may have commas or blanks between thousands; a length may have a decimal
 * point or comma, and is taken as cards of standard stock without holders, which is an estimate.
 *
 * @example parsePileAmount('about 400') // { ok: true, value: { cards: 400, isEstimate: true }, notes: [] }
 */
export function parsePileAmount(text: string): Outcome<PileAmount> {
	const [, about, digits = '', unit = ''] =
		AMOUNT.exec(text.trim().replace(/(\d) (?=\d{3}\b)/g, '$1')) ?? [];
	const length = unit.toLowerCase();
	if (length === 'mm' || length === 'cm' || length === 'in') {
		const value = /^\d+([.,]\d+)?$/.test(digits) ? Number(digits.replace(',', '.')) : NaN;
		const lengthUm = Math.round(value * UM_A_UNIT[length]);
		const cards = Number.isFinite(lengthUm) ? cardsIn(lengthUm) : 0;
		return about === undefined && cards >= 1 && cards <= MOST_IN_PILE
			? good({ cards, isEstimate: true, lengthUm })
			: refusedAs(text);
	}
	const cards = /^(\d+|\d{1,3}([.,]\d{3})+)$/.test(digits)
		? Number(digits.replace(/[.,]/g, ''))
		: 0;
	if (cards < 1 || cards > MOST_IN_PILE) return refusedAs(text);
	return good({ cards, isEstimate: about !== undefined });
}

/**
 * The same in words that `parsePileAmount` reads.
 *
 * @example [formatPileAmount({ cards: 400, isEstimate: false }), formatPileAmount({ cards: 765, isEstimate: true, lengthUm: 350_000 })] // ['400', '350 mm']
 */
export function formatPileAmount({ cards, isEstimate, lengthUm }: PileAmount): string {
	if (lengthUm !== undefined) return `${lengthUm / 1000} mm`;
	return isEstimate ? `about ${cards}` : String(cards);
}

const refusedAs = (text: string) =>
	bad([{ field: 'amount', message: `"${text.trim()}" is no number of cards`, remedy: REMEDY }]);
