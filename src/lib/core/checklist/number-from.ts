import { formatCardNumber, parseCardNumber, runStem } from './numbers/card-number.ts';
import type { Card } from './card.ts';
import { LAST_ROMAN } from './numbers/roman.ts';

/**
 * Numbers cards anew from another first number. Where the old numbers rise in one run, each is as far from
 * the first as before, so that what is left out between them is missing from the new run, too; otherwise
 * they are counted on one by one. A card without a number keeps none.
 *
 * @param from the number of the first card; of one that bears no digits nothing follows
 * @returns the number of each card; null: it keeps what it has, as where a run of roman numerals ends
 * @example 1, 2, 4 from "89": 89, 90, 92; 1, 2, F1 from "89": 89, 90, 91
 */
export function numberFrom(from: string, cards: readonly Card[]): readonly (string | null)[] {
	const first = parseCardNumber(from);
	const old = cards.flatMap(({ number }) => (number === null ? [] : parseCardNumber(number)));
	const { digits } = first;
	const [begin] = old;
	if (digits === null || !begin) return cards.map(() => null);
	const places = old.map((number) => (number.digits ?? 0) - (begin.digits ?? 0));
	const isRun = old.every(
		(number, i) =>
			number.digits !== null &&
			number.suffix === '' &&
			runStem(number) === runStem(begin) &&
			(i === 0 || (places[i] ?? 0) > (places[i - 1] ?? 0))
	);
	let next = 0;
	return cards.map(({ number }) => {
		if (number === null) return null;
		const place = next++;
		const now = digits + (isRun ? (places[place] ?? 0) : place);
		if (first.roman && now > LAST_ROMAN) return null;
		return formatCardNumber({ ...first, digits: now });
	});
}
