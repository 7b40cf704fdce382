import { formatCardNumber, parseCardNumber, type CardNumber } from './card-number.ts';
import { hasLetters, letterPlace } from './letter-number.ts';

const text = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** How two things stand to each other: below 0 the first comes first, 0 where they are equals. */
export type Comparison<Thing> = (a: Thing, b: Thing) => number;

/**
 * The order of card numbers as people expect, among the numbers given: 2 before 10, T2 before T10, 12
 * before 12a, plain numbers before prefixed ones, series by series, roman numerals by their value; what
 * has no digits at all behind the numbers; cards without a number last. Where cards are numbered by
 * letters, I, V, X, L, C, D and M are letters as well: A to Z, then AA. Equal numbers compare 0. A total
 * order.
 *
 * @example ['X', 'B', 'A'].sort(cardNumberOrder(['X', 'B', 'A'])) // ['A', 'B', 'X']
 */
export function cardNumberOrder(numbers: Iterable<string | null>): Comparison<string | null> {
	const placeOf = placeMaker(hasLetters(numbers));
	const known = new Map<string, Place>();
	const remembered = (number: string | null): Place => {
		if (number === null) return LAST;
		const place = known.get(number) ?? placeOf(number);
		known.set(number, place);
		return place;
	};
	return (a, b) => comparePlaces(remembered(a), remembered(b));
}

/**
 * The same order for two numbers by themselves: a single I, V or X is a roman numeral.
 *
 * @example ['X', 'V', null, 'II'].sort(compareCardNumbers) // ['II', 'V', 'X', null]
 */
export function compareCardNumbers(a: string | null, b: string | null): number {
	return comparePlaces(
		a === null ? LAST : placeOfNumeral(a),
		b === null ? LAST : placeOfNumeral(b)
	);
}

/** Sorts things by card number, and where that does not decide, by `tie`. The list given stays. */
export function sortByCardNumber<Thing>(
	things: readonly Thing[],
	numberOf: (thing: Thing) => string | null,
	tie: (a: Thing, b: Thing) => number
): Thing[] {
	const numbers = things.map(numberOf);
	const placeOf = placeMaker(hasLetters(numbers));
	return things
		.map((thing, i) => {
			const number = numbers[i] ?? null;
			return { thing, place: number === null ? LAST : placeOf(number) };
		})
		.sort((a, b) => comparePlaces(a.place, b.place) || tie(a.thing, b.thing))
		.map(({ thing }) => thing);
}

/**
 * Order of titles, for cards that have no number: the alphabet, capitals and accents aside.
 *
 * @example ['Fog', 'Étoile', 'eel'].sort(compareTitles) // ['eel', 'Étoile', 'Fog']
 */
export function compareTitles(a: string, b: string): number {
	return collate(a, b) || (a < b ? -1 : a > b ? 1 : 0);
}

/** Where a number stands, compared part by part: its class first. */
interface Place {
	/** 0: it has digits; 1: letters alone; 2: anything else; 3: no number. */
	readonly kind: 0 | 1 | 2 | 3;
	readonly series: number;
	readonly prefix: string;
	readonly digits: number;
	readonly suffix: string;
}

const LAST: Place = { kind: 3, series: 0, prefix: '', digits: 0, suffix: '' };
/** What is no number by the grammar, but has digits in it: "No. 3 of 9". */
const WITH_DIGITS = /^(\D*)(\d{1,15})(.*)$/su;

function placeMaker(areLetters: boolean): (number: string) => Place {
	return (number) => {
		const letter = areLetters ? letterPlace(number) : null;
		return letter === null
			? placeOfParsed(parseCardNumber(number))
			: { ...LAST, kind: 1, digits: letter };
	};
}

const placeOfNumeral = placeMaker(false);

function placeOfParsed(number: CardNumber): Place {
	const { series, prefix, digits, suffix } = number;
	if (digits !== null) return { kind: 0, series: series ?? 0, prefix, digits, suffix };
	const whole = formatCardNumber(number);
	const [, before = '', inside, behind = ''] = WITH_DIGITS.exec(whole) ?? [];
	return inside === undefined
		? { ...LAST, kind: 2, prefix: whole }
		: { kind: 0, series: 0, prefix: before.trim(), digits: Number(inside), suffix: behind };
}

function comparePlaces(a: Place, b: Place): number {
	return (
		a.kind - b.kind ||
		a.series - b.series ||
		collate(a.prefix, b.prefix) ||
		a.digits - b.digits ||
		collate(a.suffix, b.suffix)
	);
}

function collate(a: string, b: string): number {
	return a === b ? 0 : text.compare(a, b);
}
