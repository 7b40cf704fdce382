/** Numbers that are letters: A to Z, then AA to ZZ. I, V, X, L, C, D, M and more are roman numerals as well. */
const LETTERS = /^([a-z])([a-z])?$/i;

/**
 * The place of a number that is a letter, from 1: A is 1, Z 26, AA 27; null for any other text.
 *
 * @example [letterPlace('A'), letterPlace('AA'), letterPlace('A1')] // [1, 27, null]
 */
export function letterPlace(text: string): number | null {
	const [, first, second] = LETTERS.exec(text) ?? [];
	if (first === undefined) return null;
	const place = (letter: string) => letter.toUpperCase().charCodeAt(0) - 64;
	return second === undefined ? place(first) : 26 * place(first) + place(second);
}

/**
 * Whether cards are numbered by letters, so that I and V are letters too, and no numerals: some number
 * is a single letter that is no numeral.
 *
 * @example [hasLetters(['I', 'V']), hasLetters(['I', 'B'])] // [false, true]
 */
export function hasLetters(numbers: Iterable<string | null>): boolean {
	for (const number of numbers) {
		if (number !== null && number.length === 1 && /[abefghjknopqrstuwyz]/i.test(number))
			return true;
	}
	return false;
}
