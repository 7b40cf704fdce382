import type { Problem } from '../problem.ts';
import type { EntryItem } from './entry-line.ts';
import {
	readTokens,
	type Grouping,
	type Qualities,
	type Quality,
	type Span,
	type Token
} from './read-tokens.ts';

/** Cards of a line that share their qualities. */
export interface EntryGroup extends Qualities {
	readonly items: readonly EntryItem[];
	/** Where the words stand that reach over these items. */
	readonly words: readonly Span[];
}

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
	const tokens = readTokens(items, grouping, problems);
	const parts = partsOf(tokens);
	const forAll = leading(parts[0] ?? []);
	const groups: EntryGroup[] = [];
	const said = new Set<Quality>();
	parts.forEach((part, p) => {
		const first = leading(part);
		const forPart = p === 0 ? [] : first;
		const rest = part.slice(first.length);
		if (rest.length === 0 && p > 0) problems.push(...first.map((word) => saidOfNone(word, true)));
		for (const { items: named, words: behind } of stretchesOf(rest)) {
			// The narrower word counts: behind the cards, before their part, before the line.
			const merged = new Map<string, Quality>();
			for (const words of [forAll, forPart, behind]) {
				for (const [name, word] of namesOf(words, problems)) merged.set(name, word);
			}
			for (const word of merged.values()) said.add(word);
			groups.push({
				...qualitiesOf([...merged.values()]),
				items: named,
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
	const tokens = readTokens(items, grouping, problems);
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
