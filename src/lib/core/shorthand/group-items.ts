import type { Problem } from '../problem.ts';
import type { Condition } from '../copies/condition.ts';
import type { CardIndex } from './card-index.ts';
import { normalCardNumber } from '../checklist/card-number.ts';
import type { EntryItem } from './entry-line.ts';
import { parseEntryLine } from './parse-entry-line.ts';
import { nearestPhrase, normalPhrase, type Meaning, type Vocabulary } from './vocabulary.ts';

/** What qualifies some cards of a line. */
export interface Qualities {
	readonly parallelKey?: string;
	readonly sectionKey?: string;
	readonly variant?: Placed<string>;
	readonly condition?: Condition;
	readonly serial?: Placed<string>;
	readonly place?: string;
	readonly times?: number;
}

/** A value with its place in the line. */
export interface Placed<Value> extends Span {
	readonly value: Value;
}

/** A stretch of the line, in UTF-16 units from 0. */
export interface Span {
	readonly start: number;
	readonly end: number;
}

/** Cards of a line that share their qualities. */
export interface EntryGroup extends Qualities {
	readonly items: readonly EntryItem[];
	/** Where the words stand that reach over these items. */
	readonly words: readonly Span[];
}

interface Grouping {
	readonly vocabulary: Vocabulary;
	readonly index: CardIndex;
	/** Word, as it is compared → the words it stands for. */
	readonly synonyms: ReadonlyMap<string, string>;
}

interface Quality extends Span {
	readonly kind: 'quality';
	readonly quality: Qualities;
}
type Token =
	{ readonly kind: 'item'; readonly item: EntryItem } | { readonly kind: 'break' } | Quality;

/**
 * Parts a line into groups. A word counts for the items before it, back to the last word or the last
 * comma or semicolon; at the beginning of a part between commas it counts for that part, at the beginning
 * of the line for all of it. Words that mean nothing, or are said of no card, are problems.
 *
 * @example "1-40, 12 slate": slate is said of 12 alone; "5 9 13 brass": brass of all three
 */
export function groupItems(
	items: readonly EntryItem[],
	grouping: Grouping,
	problems: Problem[]
): readonly EntryGroup[] {
	const tokens = tokensOf(items, grouping, problems, 0);
	const parts = partsOf(tokens);
	const forAll = leading(parts[0] ?? []);
	const groups: EntryGroup[] = [];
	const said = new Set<Quality>();
	parts.forEach((part, p) => {
		const first = leading(part);
		const forPart = p === 0 ? [] : first;
		const rest = part.slice(first.length);
		if (rest.length === 0 && p > 0) problems.push(...first.map((word) => saidOfNone(word, true)));
		for (const { items: own, words: behind } of stretchesOf(rest)) {
			// The narrower word counts: behind the cards, before their part, before the line.
			const merged = new Map<string, Quality>();
			for (const words of [forAll, forPart, behind]) {
				for (const [name, word] of namesOf(words, problems)) merged.set(name, word);
			}
			for (const word of merged.values()) said.add(word);
			groups.push({
				...qualitiesOf([...merged.values()]),
				items: own,
				words: [...new Set(merged.values())].map(({ start, end }) => ({ start, end }))
			});
		}
		if (rest.length > 0) problems.push(...forPart.filter((word) => !said.has(word)).map(saidTwice));
	});
	if (groups.length === 0) problems.push(...forAll.map((word) => saidOfNone(word, false)));
	else problems.push(...forAll.filter((word) => !said.has(word)).map(saidTwice));
	return groups;
}

/**
 * What all the words of a line together say, and the items between them: of "all" and "all but",
 * where every word is said of everything that is left.
 */
export function mergeItems(
	items: readonly EntryItem[],
	grouping: Grouping,
	problems: Problem[]
): { readonly qualities: Qualities; readonly items: readonly EntryItem[] } {
	const tokens = tokensOf(items, grouping, problems, 0);
	const words = tokens.filter((token) => token.kind === 'quality');
	return {
		qualities: qualitiesOf([...namesOf(words, problems).values()]),
		items: tokens.flatMap((token) => (token.kind === 'item' ? [token.item] : []))
	};
}

/** The stretches of a line between commas. */
function partsOf(tokens: readonly Token[]): readonly (readonly Token[])[] {
	const parts: Token[][] = [[]];
	for (const token of tokens) {
		if (token.kind === 'break') parts.push([]);
		else parts.at(-1)?.push(token);
	}
	return parts;
}

/** The words at the beginning of a part. */
function leading(part: readonly Token[]): readonly Quality[] {
	const first = part.findIndex(({ kind }) => kind === 'item');
	return part.slice(0, first < 0 ? part.length : first).filter((token) => token.kind === 'quality');
}

/** Items, and the words behind them up to the next item. */
function stretchesOf(tokens: readonly Token[]) {
	const stretches: { items: EntryItem[]; words: Quality[] }[] = [];
	for (const token of tokens) {
		const last = stretches.at(-1);
		if (token.kind === 'quality') last?.words.push(token);
		else if (token.kind === 'item') {
			if (last && last.words.length === 0) last.items.push(token.item);
			else stretches.push({ items: [token.item], words: [] });
		}
	}
	return stretches;
}

function saidOfNone({ start, end }: Span, isBehindComma: boolean): Problem {
	return {
		start,
		end,
		message: 'this is said of no card',
		remedy: isBehindComma
			? 'Leave the comma before it out, or write numbers beside it.'
			: 'Write the numbers it is said of.'
	};
}

function saidTwice({ start, end }: Span): Problem {
	return {
		start,
		end,
		message: 'this is said twice of the same cards',
		remedy: 'Keep one of them, or write the cards apart.'
	};
}

/** What each word says, by the name of what it says; what is said before in the same place is a problem. */
function namesOf(words: readonly Quality[], problems: Problem[]): ReadonlyMap<string, Quality> {
	const names = new Map<string, Quality>();
	for (const word of words) {
		for (const name of Object.keys(word.quality)) {
			if (!names.has(name)) names.set(name, word);
			else if (!problems.some(({ start }) => start === word.start)) problems.push(saidTwice(word));
		}
	}
	return names;
}

function qualitiesOf(words: readonly Quality[]): Qualities {
	return Object.assign({}, ...words.map(({ quality }) => quality)) as Qualities;
}

function tokensOf(
	items: readonly EntryItem[],
	grouping: Grouping,
	problems: Problem[],
	depth: number
): Token[] {
	const tokens: Token[] = [];
	for (let at = 0; at < items.length;) {
		const item = items[at] as EntryItem;
		const { start, end } = item;
		const quality = (of: Qualities): Token => ({ kind: 'quality', quality: of, start, end });
		if (isPhrase(item, grouping)) {
			const { read, used } = readPhrase(items, at, grouping, problems, depth);
			tokens.push(...read);
			at += used;
			continue;
		}
		if (item.kind === 'serial') {
			tokens.push(quality({ serial: { value: item.serial, start, end } }));
		} else if (item.kind === 'place') tokens.push(quality({ place: item.place }));
		else if (item.kind === 'times') tokens.push(quality({ times: item.quantity }));
		else if (item.kind === 'break') tokens.push({ kind: 'break' });
		else if (item.kind === 'word') {
			tokens.push({ kind: 'item', item: { ...item, kind: 'number', number: item.text } });
		} else tokens.push({ kind: 'item', item });
		at++;
	}
	return tokens;
}

/**
 * Whether an item is a word and no card. "M" and "mm1" look like numbers: where no card bears it, it may
 * be a word; "a" looks like a word: where a card bears it and it means nothing else, it is a number.
 */
function isPhrase(item: EntryItem, { index, vocabulary, synonyms }: Grouping): boolean {
	if (item.kind === 'word') {
		const isCard = index.byNumber.has(normalCardNumber(item.text));
		const phrase = normalPhrase(item.text);
		return !isCard || vocabulary.meanings.has(phrase) || synonyms.has(phrase);
	}
	if (item.kind !== 'number' || item.quantity !== 1) return false;
	const phrase = normalPhrase(item.number);
	return (
		!index.byNumber.has(normalCardNumber(item.number)) &&
		(vocabulary.meanings.has(phrase) || synonyms.has(phrase))
	);
}

/** Reads the longest known phrase from an item on. */
function readPhrase(
	items: readonly EntryItem[],
	at: number,
	grouping: Grouping,
	problems: Problem[],
	depth: number
): { readonly read: readonly Token[]; readonly used: number } {
	const { vocabulary, synonyms } = grouping;
	const wordAt = (place: number): string | null => {
		const item = items[place];
		if (item?.kind === 'word') return item.text;
		// "2x3" is a card and how many of it, never part of a name.
		return item?.kind === 'number' && item.quantity === 1 ? item.number : null;
	};
	const start = items[at]?.start ?? 0;
	for (let used = vocabulary.longest; used >= 1; used--) {
		const words = Array.from({ length: used }, (_, i) => wordAt(at + i));
		if (words.some((word) => word === null)) continue;
		const end = items[at + used - 1]?.end ?? start;
		const phrase = normalPhrase(words.join(' '));
		const means = depth === 0 ? synonyms.get(phrase) : undefined;
		if (means !== undefined) {
			const placed = parseEntryLine(means).items.map((item) => ({ ...item, start, end }));
			return { read: tokensOf(placed, grouping, problems, depth + 1), used };
		}
		const meaning = vocabulary.meanings.get(phrase);
		if (meaning) {
			return {
				read: [{ kind: 'quality', quality: qualityOf(meaning, start, end), start, end }],
				used
			};
		}
	}
	const typed = wordAt(at) ?? '';
	const near = nearestPhrase(vocabulary, typed);
	problems.push({
		start,
		end: items[at]?.end ?? start,
		message: `"${typed}" is neither a number nor a word of this checklist`,
		remedy: near ? `Did you mean ${near}?` : 'Write numbers, a finish, a condition or a section.'
	});
	return { read: [], used: 1 };
}

function qualityOf(meaning: Meaning, start: number, end: number): Qualities {
	switch (meaning.kind) {
		case 'parallel':
			return { parallelKey: meaning.key };
		case 'section':
			return { sectionKey: meaning.key };
		case 'condition':
			return { condition: meaning.condition };
		case 'variant':
			return { variant: { value: meaning.name, start, end } };
	}
}
