import { formatVersionKey } from '../checklist/version-key.ts';
import type { Problem } from '../problem.ts';
import type { EntryContext } from './entry-context.ts';
import { groupItems } from './group-items.ts';
import { isMade, namedBy, nameOf, type EntryAddition, type Named } from './named-cards.ts';
import { parseEntryLine } from './parse-entry-line.ts';

/** How many copies of one version there are before and after. */
export interface EntryChange {
	readonly version: string;
	readonly before: number;
	readonly after: number;
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
}

/**
 * Reads an entry line against a release: a list adds the copies it names; "all but" sees to one
 * copy of every card of the numbering except those named (a copy of those that is already logged
 * is pointed out, not removed). Every word that is not understood is a problem with its place.
 */
export function readShorthand(text: string, context: EntryContext): EntryReading {
	const line = parseEntryLine(text);
	const problems: Problem[] = [];
	const notes: Problem[] = [];
	const groups = groupItems(
		line.items,
		{ ...context, synonyms: context.synonyms ?? new Map<string, string>() },
		problems
	);
	const named = groups.flatMap((group) => namedBy(group, context, problems, notes));
	const additions =
		line.form === 'list'
			? named.map(({ card: _c, start: _s, end: _e, ...addition }) => addition)
			: everythingBut(named, context, text.length, problems, notes);
	const wanted = new Map<string, number>();
	for (const { version, quantity } of additions) {
		wanted.set(version, (wanted.get(version) ?? context.owned.get(version) ?? 0) + quantity);
	}
	const changes = [...wanted]
		.map(([version, after]) => ({ version, before: context.owned.get(version) ?? 0, after }))
		.filter(({ before, after }) => before !== after);
	const isApplicable = problems.length === 0;
	return {
		form: line.form,
		changes: isApplicable ? changes : [],
		additions: isApplicable ? additions.filter(({ quantity }) => quantity > 0) : [],
		unchanged: wanted.size - changes.length,
		problems: [...problems].sort((a, b) => (a.start ?? 0) - (b.start ?? 0)),
		notes
	};
}

function everythingBut(
	named: readonly Named[],
	context: EntryContext,
	lineEnd: number,
	problems: Problem[],
	notes: Problem[]
): readonly EntryAddition[] {
	const { index, release, owned, condition } = context;
	const numbering =
		named[0]?.card.numbering ??
		index.numberings.find(({ key }) => key === context.numberingKey) ??
		index.numberings[0];
	if (!numbering) {
		problems.push({
			start: 0,
			end: lineEnd,
			message: 'the release has no cards',
			remedy: 'Import its checklist first.'
		});
		return [];
	}
	const left = new Set<string>();
	for (const { card, version, start, end } of named) {
		if (card.numbering !== numbering) {
			problems.push({
				start,
				end,
				message: `this is in ${card.numbering.name}, the words before it are in ${numbering.name}`,
				remedy: 'Write a line for each of them.'
			});
			continue;
		}
		left.add(card.card.key);
		if ((owned.get(version) ?? 0) > 0) {
			notes.push({ start, end, message: `${nameOf(card)} is logged already and stays` });
		}
	}
	return numbering.cards.flatMap((found): EntryAddition[] => {
		const { card } = found;
		if (left.has(card.key) || !isMade(release, context.parallelKey, { ...found, numbering }))
			return [];
		const version = formatVersionKey({
			release: release.key,
			card: card.key,
			parallel: context.parallelKey
		});
		const quantity = (owned.get(version) ?? 0) > 0 ? 0 : 1;
		return [{ version, quantity, ...(condition ? { condition } : {}) }];
	});
}
