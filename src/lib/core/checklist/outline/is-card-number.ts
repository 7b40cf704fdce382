import { parseCardNumber } from '../numbers/card-number.ts';

/** Whether a word of an outline is a card number. "1-160" is a run here, "2-14" within a run too. */
export function isCardNumber(text: string): boolean {
	return isNumberOfSeries(text) && parseCardNumber(text).series === null;
}

/** The same where a dash cannot be meant as "to": "2-14" is a number of the second series. */
export function isNumberOfSeries(text: string): boolean {
	return parseCardNumber(text).digits !== null && !/\s/.test(text);
}
