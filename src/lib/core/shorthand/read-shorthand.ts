import type { NumberedCard } from '../checklist/numbering.ts';
import { runRuleFor } from '../checklist/parallel.ts';
import type { Release } from '../checklist/release.ts';
import { formatVersionKey } from '../checklist/version-key.ts';
import type { Problem } from '../problem.ts';
import type { CardIndex, IndexedCard } from './card-index.ts';
import { findCards } from './find-cards.ts';
import { parseEntryLine } from './parse-entry-line.ts';

/** Where a line is typed: what its numbers mean and what is there already. */
export interface EntryContext {
	readonly release: Release;
	readonly index: CardIndex;
	/** The numbering that is meant where several use the same numbers, and by "all". */
	readonly numberingKey: string | null;
	/** The finish that is logged; null for the base one. */
	readonly parallelKey: string | null;
	/** Version key → copies owned; a version that is absent has none. */
	readonly owned: ReadonlyMap<string, number>;
}

/** How many copies of one version there are before and after. */
export interface EntryChange {
	readonly version: string;
	readonly before: number;
	readonly after: number;
}

/** What a line would do. With any problem it must not be applied. */
export interface EntryReading {
	readonly form: 'list' | 'all-but';
	readonly changes: readonly EntryChange[];
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
	const named: { card: IndexedCard; quantity: number; start: number; end: number }[] = [];
	for (const item of line.items) {
		const { start, end } = item;
		const found = findCards(context.index, item, context.numberingKey);
		if (!found.ok) {
			problems.push({ start, end, message: found.message, remedy: found.remedy });
			continue;
		}
		if (found.note) notes.push({ start, end, message: found.note });
		const unmade = found.cards.filter((found) => !isMade(context, found));
		if (unmade.length > 0) {
			problems.push(notMade(context, unmade, start, end));
			continue;
		}
		named.push(...found.cards.map((card) => ({ card, quantity: item.quantity, start, end })));
	}
	const wanted =
		line.form === 'list'
			? addUp(named, context)
			: everythingBut(named, context, text.length, problems, notes);
	const changes = [...wanted]
		.map(([version, after]) => ({ version, before: context.owned.get(version) ?? 0, after }))
		.filter(({ before, after }) => before !== after);
	return {
		form: line.form,
		changes: problems.length > 0 ? [] : changes,
		unchanged: wanted.size - changes.length,
		problems,
		notes
	};
}

function addUp(
	named: readonly { card: IndexedCard; quantity: number }[],
	context: EntryContext
): Map<string, number> {
	const after = new Map<string, number>();
	for (const { card, quantity } of named) {
		const version = versionOf(context, card);
		after.set(version, (after.get(version) ?? context.owned.get(version) ?? 0) + quantity);
	}
	return after;
}

function everythingBut(
	named: readonly { card: IndexedCard; start: number; end: number }[],
	context: EntryContext,
	lineEnd: number,
	problems: Problem[],
	notes: Problem[]
): Map<string, number> {
	const after = new Map<string, number>();
	const { index } = context;
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
		return after;
	}
	const left = new Set<string>();
	for (const { card, start, end } of named) {
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
		if ((context.owned.get(versionOf(context, card)) ?? 0) > 0) {
			const name = card.card.number ?? `"${card.card.title}"`;
			notes.push({ start, end, message: `${name} is logged already and stays` });
		}
	}
	for (const found of numbering.cards) {
		if (left.has(found.card.key) || !isMade(context, found)) continue;
		const version = versionOf(context, found);
		after.set(version, Math.max(1, context.owned.get(version) ?? 0));
	}
	return after;
}

function versionOf(context: EntryContext, { card }: { card: { key: string } }): string {
	return formatVersionKey({
		release: context.release.key,
		card: card.key,
		parallel: context.parallelKey
	});
}

function isMade({ release, parallelKey }: EntryContext, { section, card }: NumberedCard): boolean {
	if (parallelKey === null) return true;
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	return parallel !== undefined && runRuleFor(parallel, section, card) !== undefined;
}

function notMade(
	{ release, parallelKey }: EntryContext,
	cards: readonly IndexedCard[],
	start: number,
	end: number
): Problem {
	const name = release.parallels.find(({ key }) => key === parallelKey)?.name ?? parallelKey ?? '';
	const sections = [...new Set(cards.map(({ section }) => section.name))].join(', ');
	const numbers = cards.slice(0, 3).map(({ card }) => card.number ?? `"${card.title}"`);
	const more = cards.length > 3 ? ` and ${cards.length - 3} more` : '';
	return {
		start,
		end,
		message: `${name} was not made of ${numbers.join(', ')}${more} (${sections})`,
		remedy: 'Choose another finish, or leave these out.'
	};
}
