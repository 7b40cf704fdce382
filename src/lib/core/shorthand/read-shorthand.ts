import type { Problem } from '../problem.ts';
import type { IndexedCard } from './card-index.ts';
import type { EntryContext } from './entry-context.ts';
import type { EntryItem, EntryLine } from './entry-line.ts';
import { groupItems, mergeItems, type EntryGroup } from './group-items.ts';
import type { Span } from './read-tokens.ts';
import {
	additionOf,
	cardsOfItem,
	checkSerial,
	meantFinish,
	MOST_NAMED,
	namedBy,
	tooMany,
	nameOf,
	searchPlaceOf,
	meantVariant,
	type EntryAddition,
	type Named
} from './named-cards.ts';
import { parseEntryLine } from './parse-entry-line.ts';

/** How many copies of one version there are before and after. */
export interface EntryChange {
	readonly version: string;
	readonly before: number;
	readonly after: number;
}

/** How far words of a line reach: the words, and the items they are said of. */
export interface EntryReach {
	readonly words: readonly Span[];
	readonly items: readonly Span[];
	/** Cards that these items name. */
	readonly cards: number;
}

/** What a line would do. With any problem it must not be applied. */
export interface EntryReading {
	readonly form: 'list' | 'all-but';
	/** Versions whose number changes, in the order of the line. */
	readonly changes: readonly EntryChange[];
	/** The copies that make that change. */
	readonly additions: readonly EntryAddition[];
	/** Cards named that already are as the line says. */
	readonly unchanged: number;
	readonly problems: readonly Problem[];
	readonly notes: readonly Problem[];
	/** Of words that are said of several items: how far they reach. */
	readonly reaches: readonly EntryReach[];
	/** Where a word cannot be meant of all it reaches, the same line with a comma, so that it is said of the last. */
	readonly narrow?: string;
}

/**
 * Reads an entry line against a release: a list adds the copies it names; "all but" sees to one
 * copy of every card of the numbering except those named (a copy of those that is already logged
 * is pointed out, not removed). Every word is accounted for: it says something of the copies in the
 * answer, or is a problem with its place; and no card outside what was named is touched.
 */
export function readShorthand(text: string, context: EntryContext): EntryReading {
	const reading = readLine(text, context);
	const narrow = reading.problems.length > 0 ? narrowLine(text, reading, context) : undefined;
	return narrow === undefined ? reading : { ...reading, narrow };
}

function readLine(text: string, context: EntryContext): EntryReading {
	const line = parseEntryLine(text);
	const problems: Problem[] = [];
	const notes: Problem[] = [];
	const { additions, reaches } =
		line.form === 'list'
			? listed(line, context, problems, notes)
			: everythingBut(line, text, context, problems, notes);
	const wanted = new Map<string, number>();
	for (const { version, quantity } of additions) {
		wanted.set(version, (wanted.get(version) ?? context.owned.get(version) ?? 0) + quantity);
	}
	const changes = [...wanted]
		.map(([version, after]) => ({ version, before: context.owned.get(version) ?? 0, after }))
		.filter(({ before, after }) => before !== after);
	const isApplicable = problems.length === 0;
	return {
		form: line.form === 'list' ? 'list' : 'all-but',
		changes: isApplicable ? changes : [],
		additions: isApplicable ? additions.filter(({ quantity }) => quantity > 0) : [],
		unchanged: wanted.size - changes.length,
		problems: [...problems].sort((a, b) => (a.start ?? 0) - (b.start ?? 0)),
		notes,
		reaches
	};
}

const grouping = (context: EntryContext) => ({
	...context,
	synonyms: context.synonyms ?? new Map<string, string>()
});

interface Additions {
	readonly additions: readonly EntryAddition[];
	readonly reaches: readonly EntryReach[];
}

function listed(
	{ items }: EntryLine,
	context: EntryContext,
	problems: Problem[],
	notes: Problem[]
): Additions {
	const groups = groupItems(items, grouping(context), problems);
	const additions: EntryAddition[] = [];
	const reaches: EntryReach[] = [];
	for (const group of groups) {
		const named = namedBy(group, context, problems, notes);
		reaches.push(...reachOf(group, named));
		for (const { card: _c, start: _s, end: _e, ...addition } of named) additions.push(addition);
		if (additions.length > MOST_NAMED) {
			if (problems.length === 0) problems.push(tooMany(group.items[0]));
			break;
		}
	}
	return { additions, reaches };
}

function reachOf({ items, words }: EntryGroup, named: readonly Named[]): readonly EntryReach[] {
	if (items.length < 2 || words.length === 0) return [];
	return [{ words, items: items.map(spanOf), cards: named.length }];
}

function spanOf({ start, end }: EntryItem): Span {
	return { start, end };
}

/** "all 5": whether 5 is meant, or all but 5, cannot be known. */
function amongAll(item: EntryItem): Problem {
	return {
		...spanOf(item),
		message: 'this is among all already',
		remedy: 'Write "all but" before what is left out, or the numbers without "all".'
	};
}

function everythingBut(
	line: EntryLine,
	text: string,
	context: EntryContext,
	problems: Problem[],
	notes: Problem[]
): Additions {
	const { index, owned } = context;
	const { qualities, items } = mergeItems(line.items, grouping(context), problems);
	const place = searchPlaceOf(qualities, context);
	if (line.form === 'all') problems.push(...items.map(amongAll));
	else if (items.length === 0 && problems.length === 0) {
		problems.push({
			start: 0,
			end: text.trimEnd().length,
			message: 'nothing is named that is left out',
			remedy: 'Write the numbers behind "but"; "all" alone is everything.'
		});
	}
	if (problems.length > 0) return { additions: [], reaches: [] };
	const excepted = items.map((item) => ({
		item,
		cards: cardsOfItem(item, place, context, problems, notes)
	}));
	const [firstNamed] = excepted.flatMap(({ cards }) => cards[0] ?? []);
	const numbering =
		(place.section && index.numberings.find(({ key }) => key === place.numberingKey)) ??
		firstNamed?.numbering ??
		index.numberings.find(({ key }) => key === context.numberingKey) ??
		index.numberings[0];
	if (!numbering) {
		problems.push({
			start: 0,
			end: text.length,
			message: 'the release has no cards',
			remedy: 'Import its checklist first.'
		});
		return { additions: [], reaches: [] };
	}
	const left = new Set<string>();
	for (const { item, cards } of excepted) {
		const { start, end } = item;
		const stranger = cards.find((card) => card.numbering !== numbering);
		if (stranger) {
			problems.push({
				start,
				end,
				message: `this is in ${stranger.numbering.name}, the words before it are in ${numbering.name}`,
				remedy: 'Write a line for each of them.'
			});
		} else if (item.quantity > 1) {
			problems.push({
				start,
				end,
				message: 'of cards that are left out no number of copies can be said',
				remedy: 'Leave the x out.'
			});
		}
		for (const card of cards) {
			left.add(card.card.key);
			const { version } = additionOf(card, qualities, context);
			if ((owned.get(version) ?? 0) > 0) {
				notes.push({ start, end, message: `${nameOf(card)} is logged already and stays` });
			}
		}
	}
	const wanted = qualities.times ?? 1;
	const rest = numbering.cards
		.map((found): IndexedCard => ({ ...found, numbering }))
		.filter(
			(found) =>
				!left.has(found.card.key) &&
				(place.section === undefined || found.section.key === place.section.key) &&
				meantFinish(found, qualities, context) !== null &&
				meantVariant(found, qualities, context) !== null
		);
	if (rest.length === 0 && numbering.cards.length > left.size) {
		problems.push({
			start: 0,
			end: text.length,
			message: 'none of these cards is made like that',
			remedy: 'Choose another finish, section or variant.'
		});
	}
	const named = rest.map((card) => {
		const addition = additionOf(card, qualities, context);
		return {
			...addition,
			card,
			quantity: Math.max(0, wanted - (owned.get(addition.version) ?? 0))
		};
	});
	if (qualities.serial) checkSerial(qualities.serial, named, context, problems);
	return { additions: named.map(({ card: _, ...addition }) => addition), reaches: [] };
}

/**
 * The line with a comma before the last item that a word reaches, where the line has no meaning as it
 * stands but has one like that.
 */
function narrowLine(
	text: string,
	{ reaches, form }: EntryReading,
	context: EntryContext
): string | undefined {
	if (form !== 'list') return undefined;
	for (const { items, words } of reaches) {
		const last = items.at(-1);
		const isBehind = words.some(({ start }) => last !== undefined && start >= last.end);
		if (!last || !isBehind) continue;
		const narrow = `${text.slice(0, last.start).trimEnd()}, ${text.slice(last.start)}`;
		if (readLine(narrow, context).problems.length === 0) return narrow;
	}
	return undefined;
}
