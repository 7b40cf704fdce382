import { parseCardNumber } from './card-number.ts';

const text = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/**
 * Order of card numbers as people expect: 2 before 10, T2 before T10, 12 before 12a, plain
 * numbers before prefixed ones, series by series; cards without a number come last.
 * Equal numbers compare 0.
 */
export function compareCardNumbers(a: string | null, b: string | null): number {
	if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
	const left = parseCardNumber(a);
	const right = parseCardNumber(b);
	if (left.digits === null || right.digits === null) return text.compare(a, b);
	return (
		(left.series ?? 0) - (right.series ?? 0) ||
		text.compare(left.prefix, right.prefix) ||
		left.digits - right.digits ||
		text.compare(left.suffix, right.suffix)
	);
}

/** Order of titles, for cards that have no number: the alphabet, capitals and accents aside. */
export function compareTitles(a: string, b: string): number {
	return text.compare(a, b) || (a < b ? -1 : a > b ? 1 : 0);
}
