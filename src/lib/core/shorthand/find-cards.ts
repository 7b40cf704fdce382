import { at } from '../at.ts';
import {
	formatCardNumber,
	normalCardNumber,
	parseCardNumber,
	runStem
} from '../checklist/numbers/card-number.ts';
import { letterPlace } from '../checklist/numbers/letter-number.ts';
import type { Section } from '../checklist/section.ts';
import { cardsBetween, normalTitle, type CardIndex, type IndexedCard } from './card-index.ts';
import type { EntryItem } from './entry-line.ts';

/** What an item of an entry line turned out to be: cards, or the reason why not. */
export type Found =
	| { readonly ok: true; readonly cards: readonly IndexedCard[]; readonly note?: string }
	| { readonly ok: false; readonly message: string; readonly remedy: string };

/** Where cards are looked for. */
export interface SearchPlace {
	/** The section that the line names: no card of another one is meant. */
	readonly section?: Section;
	/** The numbering that is meant where several use the same numbers. */
	readonly numberingKey: string | null;
}

/** Looks up one item of a line. */
export function findCards(index: CardIndex, item: EntryItem, place: SearchPlace): Found {
	switch (item.kind) {
		case 'unknown':
			return no(item.reason, 'Write numbers and runs: 1-20 25 31x2 F1-F4.');
		case 'all-of':
			return findAllOf(index, item.prefix, place);
		case 'word':
		case 'serial':
		case 'place':
		case 'times':
		case 'break':
			throw new RangeError(`findCards: "${item.kind}" names no card`);
		case 'title':
			return findTitle(index, item.title, place);
		case 'number':
			return findNumber(index, item.number, place);
		case 'range': {
			const range = findRange(index, item.from, item.to, place);
			const whole = item.hyphen ? findNumber(index, `${item.from}-${item.to}`, place) : null;
			return whole?.ok ? wholeOrRange(whole, range, item, place) : range;
		}
	}
}

/** "2-14" may be one card of series 2, or thirteen cards: the section decides, or the person must. */
function wholeOrRange(
	whole: Found & { readonly ok: true },
	range: Found,
	item: { readonly from: string; readonly to: string },
	{ numberingKey }: SearchPlace
): Found {
	if (!range.ok) return whole;
	const isHere = ({ cards }: Found & { readonly ok: true }) =>
		cards[0]?.numbering.key === numberingKey;
	if (isHere(whole) !== isHere(range)) return isHere(whole) ? whole : range;
	const places = [whole, range].map(({ cards }) => at(cards, 0).numbering.name);
	return no(
		`this may be one card of ${at(places, 0)}, or a run of ${at(places, 1)}`,
		`Choose the section first, or write ${item.from} to ${item.to} for the run.`
	);
}

function findTitle(index: CardIndex, title: string, place: SearchPlace): Found {
	const cards = index.byTitle.get(normalTitle(title)) ?? [];
	if (cards.length === 0)
		return no(`no card is titled "${title}"`, 'Type the title as the checklist has it.');
	return theOneOf(cards, place, `"${title}"`);
}

/** "F*": every card with the prefix; "*": every card of the section chosen. */
function findAllOf(
	index: CardIndex,
	prefix: string,
	{ section, numberingKey }: SearchPlace
): Found {
	const inSection = index.numberings.filter(
		({ key }) => numberingKey === null || key === numberingKey
	);
	const isOurs = (found: { readonly section: Section }) =>
		section === undefined || found.section.key === section.key;
	if (prefix === '') {
		const numbering = numberingKey === null ? undefined : inSection[0];
		if (!numbering) return no('this means a whole section', 'Name the section, or write all.');
		return {
			ok: true,
			cards: numbering.cards.filter(isOurs).map((found) => ({ ...found, numbering }))
		};
	}
	const isMeant = (number: string | null) =>
		number !== null && parseCardNumber(number).prefix.toUpperCase() === prefix.toUpperCase();
	const cards = index.numberings.flatMap((numbering) =>
		numbering.cards
			.filter((found) => isMeant(found.card.number) && isOurs(found))
			.map((found) => ({ ...found, numbering }))
	);
	const here = cards.filter(({ numbering }) => inSection.includes(numbering));
	const found = here.length > 0 ? here : cards;
	if (found.length === 0) return no(...whyNot(index, `${prefix}1`));
	const places = [...new Set(found.map(({ numbering }) => numbering.name))];
	return places.length > 1
		? no(`${prefix}* stands in several places: ${places.join(', ')}`, 'Name the section.')
		: { ok: true, cards: found };
}

function findNumber(index: CardIndex, number: string, place: SearchPlace): Found {
	const cards = index.byNumber.get(normalCardNumber(number)) ?? [];
	return cards.length > 0 ? theOneOf(cards, place, number) : no(...whyNot(index, number));
}

function findRange(index: CardIndex, from: string, to: string, place: SearchPlace): Found {
	const low = parseCardNumber(from);
	const typedHigh = parseCardNumber(to);
	// "F1-4": the second number takes the prefix and series of the first.
	const high =
		typedHigh.prefix === '' && typedHigh.series === null && !typedHigh.roman && !typedHigh.rest
			? { ...typedHigh, prefix: low.prefix, series: low.series }
			: typedHigh;
	const last = formatCardNumber(high);
	// The ends say which run it is, whatever section they are of; only cards of the section count.
	const { section, numberingKey } = place;
	const first = findNumber(index, from, { numberingKey });
	const areLetters = letterPlace(from) !== null && letterPlace(to) !== null;
	if (!areLetters && stemOf(low) !== stemOf(high)) {
		return no(`${from} and ${to} are not numbers of one run`, 'Write a run for each of them.');
	}
	if (isBackwards(low, high, areLetters)) {
		return no(`the range runs backwards`, `Write ${to}-${from}.`);
	}
	if (!first.ok) return first;
	const numbering = first.cards[0]?.numbering;
	if (!numbering) throw new RangeError(`findRange: ${from} was found without a card`);
	const between = cardsBetween(index, numbering, from, last);
	if (!between) {
		return no(`${from} and ${to} are not numbers of one run`, 'Write a run for each of them.');
	}
	const cards = between.map((found) => ({ ...found, numbering }));
	const isThere = (index.byNumber.get(normalCardNumber(last)) ?? []).some(
		(card) => card.numbering === numbering
	);
	if (!isThere) {
		const end = cards.at(-1)?.card.number ?? from;
		return no(
			`${last} does not exist in ${numbering.name}: the run ends at ${end}`,
			`Write ${from}-${end}.`
		);
	}
	const meant = section ? cards.filter((card) => card.section.key === section.key) : cards;
	if (section && meant.length === 0) {
		return no(`${section.name} has none of ${from} to ${last}`, `Leave ${section.name} out.`);
	}
	const notes = [
		...gapNote(low, high, cards, last),
		...alongNote(low, high, meant),
		...(meant.length < cards.length
			? [`${cards.length - meant.length} of ${from} to ${last} are not of ${section?.name ?? ''}`]
			: [])
	];
	return { ok: true, cards: meant, ...(notes.length > 0 ? { note: notes.join('; ') } : {}) };
}

type Parsed = ReturnType<typeof parseCardNumber>;
const stemOf = (number: Parsed) => runStem({ ...number, suffix: '' });

function isBackwards(low: Parsed, high: Parsed, areLetters: boolean): boolean {
	if (areLetters) {
		const [a, b] = [low, high].map((number) => letterPlace(formatCardNumber(number)) ?? 0);
		return (
			(a ?? 0) > (b ?? 0) && (!low.roman || !high.roman || (low.digits ?? 0) > (high.digits ?? 0))
		);
	}
	const by = (low.digits ?? 0) - (high.digits ?? 0);
	return by > 0 || (by === 0 && low.suffix.toUpperCase() > high.suffix.toUpperCase());
}

function gapNote(
	low: Parsed,
	high: Parsed,
	cards: readonly IndexedCard[],
	last: string
): readonly string[] {
	if (low.digits === null || high.digits === null) return [];
	const digits = new Set(cards.map(({ card }) => parseCardNumber(card.number ?? '').digits));
	const gaps = high.digits - low.digits + 1 - digits.size;
	return gaps > 0
		? [`${gaps} of the numbers between ${formatCardNumber(low)} and ${last} do not exist`]
		: [];
}

/** A run of plain numbers that takes others along: "12a" in 1–40. */
function alongNote(low: Parsed, high: Parsed, cards: readonly IndexedCard[]): readonly string[] {
	if (low.suffix || high.suffix) return [];
	const along = cards.filter(({ card }) => parseCardNumber(card.number ?? '').suffix !== '');
	const names = along.slice(0, 3).map(({ card }) => card.number);
	return along.length > 0
		? [`${names.join(', ')}${along.length > 3 ? ` and ${along.length - 3} more` : ''} among them`]
		: [];
}

/** The card that is meant of several with one name: of the section that is named, else where one is. */
function theOneOf(
	cards: readonly IndexedCard[],
	{ section, numberingKey }: SearchPlace,
	what: string
): Found {
	const named = section ? cards.filter((card) => card.section.key === section.key) : cards;
	if (section && named.length === 0) {
		const others = [...new Set(cards.map((card) => card.section.name))].join(', ');
		return no(`${section.name} has no ${what}`, `It is of ${others}: name that, or no section.`);
	}
	const inContext = named.filter(({ numbering }) => numbering.key === numberingKey);
	const choice = inContext.length > 0 ? inContext : named;
	if (choice.length === 1) return { ok: true, cards: choice };
	const places = [...new Set(choice.map((card) => card.section.name))];
	return no(`${what} stands in several places: ${places.join(', ')}`, 'Choose the section first.');
}

function whyNot(index: CardIndex, number: string): [message: string, remedy: string] {
	const { prefix } = parseCardNumber(number);
	const known = index.prefixes.join(', ');
	const isKnown = index.prefixes.some((other) => other.toUpperCase() === prefix.toUpperCase());
	if (prefix && !isKnown) {
		return [
			`no section has the prefix ${prefix}`,
			known ? `Prefixes here: ${known}.` : 'No card here has a prefix.'
		];
	}
	const numbering = index.numberings.find(({ cards }) =>
		cards.some(({ card }) => card.number !== null && parseCardNumber(card.number).prefix === prefix)
	);
	const numbers = (numbering?.cards ?? []).flatMap(({ card }) => card.number ?? []);
	const reach =
		numbers.length > 0
			? `${numbering?.name ?? ''} has ${numbers[0] ?? ''} to ${numbers.at(-1) ?? ''}.`
			: 'The cards here have no numbers: type titles in quotation marks.';
	return [`there is no card ${number}`, reach];
}

function no(message: string, remedy: string): Found {
	return { ok: false, message, remedy };
}
