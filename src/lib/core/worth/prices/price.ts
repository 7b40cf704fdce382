import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { parseAmount } from '../../money/amount.ts';
import { formatMinor } from '../../money/minor-units.ts';

/** What one card is asked for, from–to, in minor units of one currency; both are the same where one sum was said. */
export interface Price {
	readonly lowMinor: number;
	readonly highMinor: number;
}

/** The middle of a price, rounded to whole minor units. */
export function middleOf({ lowMinor, highMinor }: Price): number {
	return Math.round((lowMinor + highMinor) / 2);
}

const AMOUNT = String.raw`(?:[^\s\d.,'’–—-]{1,3}\s?)?\d[\d.,'’]*(?:\s?(?:[€$£]|[A-Z]{3}))?`;
const RANGE = new RegExp(`^(${AMOUNT})\\s*(?:[–—-]|\\bto\\b)\\s*(${AMOUNT})$`, 'u');

/**
 * Reads a price as people say it. Grammar:
 *
 *     price = amount [ ( "–" / "-" / "to" ) amount ]    ; the lower one first
 *
 * with amounts as `parseAmount` reads them. Law: parse(format(x)) = x.
 *
 * @example parsePrice('4–4.50', 'EUR') // { ok: true, value: { lowMinor: 400, highMinor: 450 }, notes: [] }
 */
export function parsePrice(text: string, currency: string): Outcome<Price> {
	const trimmed = text.trim();
	if (/^[–—-]/.test(trimmed)) {
		return bad([{ message: `"${trimmed}" is below nothing`, remedy: 'A price is 0 or more.' }]);
	}
	const [, from, to] = RANGE.exec(trimmed) ?? [];
	const low = parseAmount(from ?? trimmed, currency);
	const high = to === undefined ? low : parseAmount(to, currency);
	const problems = [low, ...(to === undefined ? [] : [high])].flatMap((read) =>
		read.ok ? [] : read.problems
	);
	if (!low.ok || !high.ok) return bad(problems);
	const price = { lowMinor: low.value.minor, highMinor: high.value.minor };
	const wrong = checkPrice(price);
	return wrong.length > 0 ? bad(wrong) : good(price);
}

/**
 * Writes a price so that `parsePrice` reads it back.
 *
 * @example [formatPrice({ lowMinor: 400, highMinor: 450 }, 'EUR'), formatPrice({ lowMinor: 30, highMinor: 30 }, 'EUR')] // ['4.00–4.50', '0.30']
 */
export function formatPrice({ lowMinor, highMinor }: Price, currency: string): string {
	const low = formatMinor(lowMinor, currency);
	return lowMinor === highMinor ? low : `${low}–${formatMinor(highMinor, currency)}`;
}

/** What is wrong with a price: less than nothing, or the upper end below the lower. */
export function checkPrice({ lowMinor, highMinor }: Price): readonly Problem[] {
	if (lowMinor < 0) return [{ message: 'a price is below nothing', remedy: 'It is 0 or more.' }];
	return highMinor < lowMinor
		? [{ message: 'the upper price is below the lower', remedy: 'Write the lower one first.' }]
		: [];
}
