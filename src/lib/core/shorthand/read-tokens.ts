import { at as itemAt } from '../at.ts';
import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import type { Condition } from '../copies/condition.ts';
import type { Problem } from '../problem.ts';
import type { CardIndex } from './card-index.ts';
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

export interface Grouping {
	readonly vocabulary: Vocabulary;
	readonly index: CardIndex;
	/** Word, as it is compared → the words it stands for. */
	readonly synonyms: ReadonlyMap<string, string>;
}

export interface Quality extends Span {
	readonly kind: 'quality';
	readonly quality: Qualities;
}
export type Token =
	{ readonly kind: 'item'; readonly item: EntryItem } | { readonly kind: 'break' } | Quality;

/** What the items of a line are: cards, words that say something of cards, commas. */
export function readTokens(
	items: readonly EntryItem[],
	grouping: Grouping,
	problems: Problem[],
	depth = 0
): Token[] {
	const tokens: Token[] = [];
	for (let at = 0; at < items.length;) {
		const item = itemAt(items, at);
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
	const start = itemAt(items, at).start;
	for (let used = vocabulary.longest; used >= 1; used--) {
		const words = Array.from({ length: used }, (_, i) => wordAt(at + i));
		if (words.some((word) => word === null)) continue;
		const end = items[at + used - 1]?.end ?? start;
		const phrase = normalPhrase(words.join(' '));
		const means = depth === 0 ? synonyms.get(phrase) : undefined;
		if (means !== undefined) {
			const placed = parseEntryLine(means).items.map((item) => ({ ...item, start, end }));
			return { read: readTokens(placed, grouping, problems, depth + 1), used };
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
