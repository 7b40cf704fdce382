import { parseCardNumber } from '../numbers/card-number.ts';

/** Whether a word of an outline is a card number. "1-160" is a run here, "2-14" within a run too. */
export function isCardNumber(text: string): boolean {
	const number = parseCardNumber(text);
	return number.digits !== null && number.series === null && !/\s/.test(text);
}
