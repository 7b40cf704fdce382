import { formatCardNumber, parseCardNumber, type CardNumber } from './card-number.ts';

const text = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/**
 * Order of card numbers as people expect: 2 before 10, T2 before T10, 12 before 12a, plain
 * numbers before prefixed ones, series by series; cards without a number come last.
 * Equal numbers compare 0.
 */
export function compareCardNumbers(a: string | null, b: string | null): number {
	return compareParsed(parsed(a), parsed(b));
}

/** Sorts things by card number, and where that does not decide, by `tie`. The list given stays. */
export function sortByCardNumber<Thing>(
	things: readonly Thing[],
	numberOf: (thing: Thing) => string | null,
	tie: (a: Thing, b: Thing) => number
): Thing[] {
	return things
		.map((thing) => ({ thing, number: parsed(numberOf(thing)) }))
		.sort((a, b) => compareParsed(a.number, b.number) || tie(a.thing, b.thing))
		.map(({ thing }) => thing);
}

/** Order of titles, for cards that have no number: the alphabet, capitals and accents aside. */
export function compareTitles(a: string, b: string): number {
	return collate(a, b) || (a < b ? -1 : a > b ? 1 : 0);
}

function parsed(number: string | null): CardNumber | null {
	return number === null ? null : parseCardNumber(number);
}

function compareParsed(a: CardNumber | null, b: CardNumber | null): number {
	if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
	if (a.digits === null || b.digits === null) {
		return collate(formatCardNumber(a), formatCardNumber(b));
	}
	return (
		(a.series ?? 0) - (b.series ?? 0) ||
		collate(a.prefix, b.prefix) ||
		a.digits - b.digits ||
		collate(a.suffix, b.suffix)
	);
}

function collate(a: string, b: string): number {
	return a === b ? 0 : text.compare(a, b);
}
