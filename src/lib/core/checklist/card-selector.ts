import { normalCardNumber, parseCardNumber, runStem } from './numbers/card-number.ts';
import type { Card } from './card.ts';
import type { Section } from './section.ts';

/**
 * Which cards a rule is about: those of the sections named (or of all), and of them those from one
 * number to another, or those named one by one, by number or, where there is none, by title.
 */
export interface CardSelector {
	readonly sections?: readonly string[];
	readonly from?: string;
	readonly to?: string;
	readonly cards?: readonly string[];
}

/** How narrow a selector is: 2 names cards, 1 a range, 0 whole sections. The narrower rule wins. */
export function narrowness(selector: CardSelector): 0 | 1 | 2 {
	if (selector.cards !== undefined) return 2;
	return selector.from !== undefined || selector.to !== undefined ? 1 : 0;
}

export function selects(selector: CardSelector, section: Section, card: Card): boolean {
	if (selector.sections !== undefined && !selector.sections.includes(section.key)) return false;
	if (selector.cards !== undefined) {
		const { cards } = selector;
		return cards.length < FEW ? cards.some((name) => isNamed(card, name)) : finderOf(cards)(card);
	}
	if (selector.from === undefined && selector.to === undefined) return true;
	if (card.number === null) return false;
	return isBetween(card.number, selector.from, selector.to);
}

/** So few names are gone through faster than they are looked up. */
const FEW = 8;

/** A list of names is asked for one card after the other: what it says is made once. Lists are never changed. */
const finders = new WeakMap<readonly string[], (card: Card) => boolean>();

function finderOf(names: readonly string[]): (card: Card) => boolean {
	let finder = finders.get(names);
	if (!finder) {
		finder = nameFinder(names);
		finders.set(names, finder);
	}
	return finder;
}

/** Tells of cards whether one of several texts is what people call them: as `isNamed` does of one. */
export function nameFinder(names: readonly string[]): (card: Card) => boolean {
	const titles = new Set(names);
	const numbers = new Set(names.map(normalCardNumber));
	return ({ number, title, otherNumbers }) => {
		if (number === null) return titles.has(title);
		return (
			titles.has(number) ||
			numbers.has(normalCardNumber(number)) ||
			otherNumbers.some((other) => numbers.has(normalCardNumber(other)))
		);
	};
}

/** Tells of texts whether one of several cards is called so: as `isNamed` does of one card. */
export function callFinder(cards: readonly Card[]): (name: string) => boolean {
	const texts = new Set(cards.map(({ number, title }) => number ?? title));
	const numbers = new Set(
		cards.flatMap(({ number, otherNumbers }) =>
			number === null ? [] : [number, ...otherNumbers].map(normalCardNumber)
		)
	);
	return (name) => texts.has(name) || numbers.has(normalCardNumber(name));
}

/** Whether a text is what people call the card: one of its numbers, or its title where it has none. */
export function isNamed(card: Card, name: string): boolean {
	if (card.number === null) return card.title === name;
	if (card.number === name) return true;
	const wanted = normalCardNumber(name);
	if (normalCardNumber(card.number) === wanted) return true;
	return card.otherNumbers.some((other) => normalCardNumber(other) === wanted);
}

/** All that `isNamed` takes for a card; a number also as it is spelt normally. */
export function namesOf(card: Card): readonly string[] {
	if (card.number === null) return [card.title];
	return [card.number, normalCardNumber(card.number), ...card.otherNumbers.map(normalCardNumber)];
}

function isBetween(text: string, from: string | undefined, to: string | undefined): boolean {
	const number = parseCardNumber(text);
	if (number.digits === null) return false;
	const above = from === undefined || isAtMost(from, number);
	return above && (to === undefined || isAtLeast(to, number));
}

type Parsed = ReturnType<typeof parseCardNumber>;
const stem = (number: Parsed) => runStem({ ...number, suffix: '' });

function isAtMost(border: string, number: Parsed): boolean {
	const low = parseCardNumber(border);
	return low.digits !== null && stem(low) === stem(number) && low.digits <= (number.digits ?? 0);
}

function isAtLeast(border: string, number: Parsed): boolean {
	const high = parseCardNumber(border);
	return high.digits !== null && stem(high) === stem(number) && (number.digits ?? 0) <= high.digits;
}
