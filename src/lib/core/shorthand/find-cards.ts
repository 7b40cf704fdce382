import {
	formatCardNumber,
	normalCardNumber,
	parseCardNumber,
	runStem
} from '../checklist/card-number.ts';
import { cardsBetween, normalTitle, type CardIndex, type IndexedCard } from './card-index.ts';
import type { EntryItem } from './entry-line.ts';

/** What an item of an entry line turned out to be: cards, or the reason why not. */
export type Found =
	| { readonly ok: true; readonly cards: readonly IndexedCard[]; readonly note?: string }
	| { readonly ok: false; readonly message: string; readonly remedy: string };

/** Looks up one item. `numberingKey` decides between sections that use the same numbers. */
export function findCards(index: CardIndex, item: EntryItem, numberingKey: string | null): Found {
	switch (item.kind) {
		case 'unknown':
			return no(item.reason, 'Write numbers and runs: 1-20 25 31x2 F1-F4.');
		case 'all-of':
			return findAllOf(index, item.prefix, numberingKey);
		case 'word':
		case 'serial':
		case 'place':
		case 'times':
			throw new RangeError(`findCards: "${item.kind}" names no card`);
		case 'title':
			return findTitle(index, item.title, numberingKey);
		case 'number':
			return findNumber(index, item.number, numberingKey);
		case 'range': {
			const range = findRange(index, item.from, item.to, numberingKey);
			const whole = item.hyphen ? findNumber(index, `${item.from}-${item.to}`, numberingKey) : null;
			return whole?.ok ? wholeOrRange(whole, range, item, numberingKey) : range;
		}
	}
}

/** "2-14" may be one card of series 2, or thirteen cards: the section decides, or the person must. */
function wholeOrRange(
	whole: Found & { readonly ok: true },
	range: Found,
	item: { readonly from: string; readonly to: string },
	numberingKey: string | null
): Found {
	if (!range.ok) return whole;
	const isHere = ({ cards }: Found & { readonly ok: true }) =>
		cards[0]?.numbering.key === numberingKey;
	if (isHere(whole) !== isHere(range)) return isHere(whole) ? whole : range;
	const places = [whole, range].map(({ cards }) => cards[0]?.numbering.name ?? '');
	return no(
		`this may be one card of ${places[0] ?? ''}, or a run of ${places[1] ?? ''}`,
		`Choose the section first, or write ${item.from} to ${item.to} for the run.`
	);
}

function findTitle(index: CardIndex, title: string, numberingKey: string | null): Found {
	const cards = index.byTitle.get(normalTitle(title)) ?? [];
	if (cards.length === 0)
		return no(`no card is titled "${title}"`, 'Type the title as the checklist has it.');
	return one(cards, numberingKey, `"${title}"`);
}

/** "F*": every card with the prefix; "*": every card of the section chosen. */
function findAllOf(index: CardIndex, prefix: string, numberingKey: string | null): Found {
	const inSection = index.numberings.filter(
		({ key }) => numberingKey === null || key === numberingKey
	);
	if (prefix === '') {
		const numbering = numberingKey === null ? undefined : inSection[0];
		if (!numbering) return no('this means a whole section', 'Name the section, or write all.');
		return { ok: true, cards: numbering.cards.map((found) => ({ ...found, numbering })) };
	}
	const isMeant = (number: string | null) =>
		number !== null && parseCardNumber(number).prefix.toUpperCase() === prefix.toUpperCase();
	const cards = index.numberings.flatMap((numbering) =>
		numbering.cards
			.filter(({ card }) => isMeant(card.number))
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

function findNumber(index: CardIndex, number: string, numberingKey: string | null): Found {
	const cards = index.byNumber.get(normalCardNumber(number)) ?? [];
	return cards.length > 0 ? one(cards, numberingKey, number) : no(...whyNot(index, number));
}

function findRange(index: CardIndex, from: string, to: string, numberingKey: string | null): Found {
	const low = parseCardNumber(from);
	const typedHigh = parseCardNumber(to);
	// "F1-4": the second number takes the prefix and series of the first.
	const high =
		typedHigh.prefix === '' && typedHigh.series === null
			? { ...typedHigh, prefix: low.prefix, series: low.series }
			: typedHigh;
	if (runStem(low) !== runStem(high)) {
		return no(`${from} and ${to} are not numbers of one run`, 'Write a run for each of them.');
	}
	if ((low.digits ?? 0) > (high.digits ?? 0)) {
		return no(`the range runs backwards`, `Write ${to}-${from}.`);
	}
	const first = findNumber(index, from, numberingKey);
	if (!first.ok) return first;
	const last = formatCardNumber(high);
	const numbering = first.cards[0]?.numbering;
	if (!numbering) throw new RangeError(`findRange: ${from} was found without a card`);
	const cards = cardsBetween(numbering, from, last).map((found) => ({ ...found, numbering }));
	if (
		!(index.byNumber.get(normalCardNumber(last)) ?? []).some((card) => card.numbering === numbering)
	) {
		const end = cards.at(-1)?.card.number ?? from;
		return no(`${last} does not exist: the run ends at ${end}`, `Write ${from}-${end}.`);
	}
	const digits = new Set(cards.map(({ card }) => parseCardNumber(card.number ?? '').digits));
	const gaps = (high.digits ?? 0) - (low.digits ?? 0) + 1 - digits.size;
	return {
		ok: true,
		cards,
		...(gaps > 0 ? { note: `${gaps} of the numbers between ${from} and ${last} do not exist` } : {})
	};
}

function one(cards: readonly IndexedCard[], numberingKey: string | null, what: string): Found {
	const inContext = cards.filter(({ numbering }) => numbering.key === numberingKey);
	const choice = inContext.length > 0 ? inContext : cards;
	if (choice.length === 1) return { ok: true, cards: choice };
	const places = [...new Set(choice.map(({ section }) => section.name))];
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
