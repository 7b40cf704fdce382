const SIGNS = [
	[1000, 'M'],
	[900, 'CM'],
	[500, 'D'],
	[400, 'CD'],
	[100, 'C'],
	[90, 'XC'],
	[50, 'L'],
	[40, 'XL'],
	[10, 'X'],
	[9, 'IX'],
	[5, 'V'],
	[4, 'IV'],
	[1, 'I']
] as const;

const SUBTRACTIVE = /^M{0,3}(?:CM|CD|D?C{0,3})(?:XC|XL|L?X{0,3})(?:IX|IV|V?I{0,3})$/;

/** The largest number that is written so. */
export const LAST_ROMAN = 3999;

/**
 * Writes 1 to 3999 in capitals, in the subtractive form: 1994 is MCMXCIV.
 *
 * @example formatRoman(1994) // 'MCMXCIV'
 */
export function formatRoman(value: number): string {
	if (!Number.isInteger(value) || value < 1 || value > LAST_ROMAN) {
		throw new RangeError(`formatRoman: ${value} is no whole number from 1 to 3999`);
	}
	let left = value;
	let text = '';
	for (const [worth, sign] of SIGNS) {
		for (; left >= worth; left -= worth) text += sign;
	}
	return text;
}

/**
 * Reads I to MMMCMXCIX in capitals; null for anything else, also for IIII and other additive forms.
 *
 * @example [parseRoman('XIV'), parseRoman('IIII'), parseRoman('xiv')] // [14, null, null]
 */
export function parseRoman(text: string): number | null {
	if (text === '' || !SUBTRACTIVE.test(text)) return null;
	let value = 0;
	let at = 0;
	for (const [worth, sign] of SIGNS) {
		for (; text.startsWith(sign, at); at += sign.length) value += worth;
	}
	return value;
}
