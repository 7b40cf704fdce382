import type { Problem } from '../problem.ts';
import type { Condition } from '../goal/condition.ts';
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
export interface Placed<Value> {
	readonly value: Value;
	readonly start: number;
	readonly end: number;
}

/** Cards of a line that share their qualities. */
export interface EntryGroup extends Qualities {
	readonly items: readonly EntryItem[];
}

interface Grouping {
	readonly vocabulary: Vocabulary;
	readonly index: CardIndex;
	/** Word, as it is compared → the words it stands for. */
	readonly synonyms: ReadonlyMap<string, string>;
}

type Token =
	| { readonly kind: 'item'; readonly item: EntryItem }
	| {
			readonly kind: 'quality';
			readonly quality: Qualities;
			readonly start: number;
			readonly end: number;
	  };

/**
 * Parts a line into groups: qualities count for the items before them, back to the last quality;
 * those at the beginning of the line count for all of it. Words that mean nothing are problems.
 */
export function groupItems(
	items: readonly EntryItem[],
	grouping: Grouping,
	problems: Problem[]
): readonly EntryGroup[] {
	const tokens = tokensOf(items, grouping, problems, 0);
	let first = tokens.findIndex(({ kind }) => kind === 'item');
	if (first < 0) first = tokens.length;
	const forAll = mergeAll(tokens.slice(0, first), problems);
	const groups: EntryGroup[] = [];
	let own: EntryItem[] = [];
	let qualities: Token[] = [];
	const close = () => {
		if (own.length > 0) groups.push({ ...forAll, ...mergeAll(qualities, problems), items: own });
		own = [];
		qualities = [];
	};
	for (const token of tokens.slice(first)) {
		if (token.kind === 'quality') qualities.push(token);
		else {
			if (qualities.length > 0) close();
			own.push(token.item);
		}
	}
	close();
	return groups;
}

function mergeAll(tokens: readonly Token[], problems: Problem[]): Qualities {
	let merged: Qualities = {};
	for (const token of tokens) {
		if (token.kind !== 'quality') continue;
		const twice = Object.keys(token.quality).find((name) => name in merged);
		if (twice) {
			problems.push({
				start: token.start,
				end: token.end,
				message: 'this is said twice of the same cards',
				remedy: 'Keep one of them, or write the cards apart.'
			});
		}
		merged = { ...merged, ...token.quality };
	}
	return merged;
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
		if (item.kind === 'serial') {
			tokens.push(quality({ serial: { value: item.serial, start, end } }));
			at++;
		} else if (item.kind === 'place') {
			tokens.push(quality({ place: item.place }));
			at++;
		} else if (item.kind === 'times') {
			tokens.push(quality({ times: item.quantity }));
			at++;
		} else if (item.kind === 'word' || isWordNotNumber(item, grouping)) {
			const { read, used } = readPhrase(items, at, grouping, problems, depth);
			tokens.push(...read);
			at += used;
		} else {
			tokens.push({ kind: 'item', item });
			at++;
		}
	}
	return tokens;
}

/** "M" and "mm1" look like numbers: where no card bears it, it may be a word. */
function isWordNotNumber(item: EntryItem, { index, vocabulary, synonyms }: Grouping): boolean {
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
		return item?.kind === 'word' ? item.text : item?.kind === 'number' ? item.number : null;
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
