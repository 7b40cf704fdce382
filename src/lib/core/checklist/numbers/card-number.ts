import { formatRoman, parseRoman } from './roman.ts';

/**
 * A card number taken apart. Grammar:
 *
 *     number = [ series "-" ] [ prefix ] digits [ suffix ]
 *     series = digits, no zero first  ; "2-14": the 14th of series 2
 *     prefix = letters [ "-" ]        ; "F1", "T-12"
 *     suffix = 1*2 letters            ; "12a"
 *     roman  = I … MMMCMXCIX          ; instead of all that, in capitals
 *
 * Anything else that a checklist prints as a number ("½", "No. 3 of 9") is kept as it is: `rest`.
 */
export interface CardNumber {
	readonly series: number | null;
	readonly prefix: string;
	readonly digits: number | null;
	readonly suffix: string;
	/** Zeros printed in front of the digits ("007" has two): kept for writing back, ignored in comparing. */
	readonly zeros: number;
	/** Printed as a roman numeral. */
	readonly roman: boolean;
	/** The whole text, where it does not follow the grammar; otherwise empty. */
	readonly rest: string;
}

const NOTHING: CardNumber = {
	series: null,
	prefix: '',
	digits: null,
	suffix: '',
	zeros: 0,
	roman: false,
	rest: ''
};
const PLAIN = /^[1-9]\d{0,8}$/;
const GRAMMAR = /^(?:([1-9]\d{0,5})-)?(\p{L}{1,8}-?)?(0*)(\d{1,9})(\p{L}{1,2})?$/u;

/** Takes a printed card number apart; never fails (see `rest`). */
export function parseCardNumber(text: string): CardNumber {
	// Most numbers are plain: they are read at once, for the sake of sorting.
	if (PLAIN.test(text)) return { ...NOTHING, digits: Number(text) };
	const trimmed = text.trim();
	const roman = parseRoman(trimmed);
	if (roman !== null) return { ...NOTHING, digits: roman, roman: true };
	const match = GRAMMAR.exec(trimmed);
	if (!match) return { ...NOTHING, rest: trimmed };
	const [, series, prefix = '', zeros = '', digits = '', suffix = ''] = match;
	// A zero on its own belongs to the digits: "0" is a number, not padding.
	const lone = digits === '' ? zeros.slice(-1) : digits;
	return {
		series: series === undefined ? null : Number(series),
		prefix,
		digits: Number(lone),
		suffix,
		zeros: zeros.length - (digits === '' ? 1 : 0),
		roman: false,
		rest: ''
	};
}

/**
 * Writes a number as it is printed: `formatCardNumber(parseCardNumber(x)) === x` for trimmed text.
 *
 * @example formatCardNumber(parseCardNumber('No. 10 of 12')) // 'No. 10 of 12'
 */
export function formatCardNumber(number: CardNumber): string {
	if (number.digits === null) return number.rest;
	if (number.roman) return formatRoman(number.digits);
	const series = number.series === null ? '' : `${number.series}-`;
	return `${series}${number.prefix}${'0'.repeat(number.zeros)}${number.digits}${number.suffix}`;
}

/**
 * One spelling for equal numbers: capitals, no padding. "f01" and "F1" have the same.
 *
 * @example normalCardNumber(' f01 ') // 'F1'
 */
export function normalCardNumber(text: string): string {
	if (PLAIN.test(text)) return text;
	const number = parseCardNumber(text);
	return formatCardNumber({ ...number, zeros: 0 }).toUpperCase();
}

/**
 * What two numbers must share to stand in one run: everything but the digits.
 *
 * @example runStem(parseCardNumber('2-14')) === runStem(parseCardNumber('3-1')) // false
 */
export function runStem(number: CardNumber): string {
	return `${number.series ?? ''}-${number.prefix.toUpperCase()}-${number.suffix ? '*' : ''}${number.roman ? 'roman' : ''}`;
}
