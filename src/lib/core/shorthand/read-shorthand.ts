import { runRuleFor } from '../checklist/parallel.ts';
import type { Release } from '../checklist/release.ts';
import { addedVariants, VARIANT_KINDS, variantsOf } from '../checklist/variant.ts';
import { formatVersionKey } from '../checklist/version-key.ts';
import { checkCopy } from '../goal/check-copy.ts';
import type { Condition } from '../goal/condition.ts';
import type { Problem } from '../problem.ts';
import type { CardIndex, IndexedCard } from './card-index.ts';
import { findCards } from './find-cards.ts';
import { groupItems, type EntryGroup } from './group-items.ts';
import { parseEntryLine } from './parse-entry-line.ts';
import { normalPhrase, type Vocabulary } from './vocabulary.ts';

/** Where a line is typed: what its words mean and what is there already. */
export interface EntryContext {
	readonly release: Release;
	readonly index: CardIndex;
	readonly vocabulary: Vocabulary;
	/** The numbering that is meant where several use the same numbers, and by "all". */
	readonly numberingKey: string | null;
	/** The finish that is logged where the line names none; null for the base one. */
	readonly parallelKey: string | null;
	/** The condition of what the line names none for. */
	readonly condition?: Condition;
	/** Version key → copies owned; a version that is absent has none. */
	readonly owned: ReadonlyMap<string, number>;
	/** Word, as it is compared → the words it stands for. */
	readonly synonyms?: ReadonlyMap<string, string>;
}

/** How many copies of one version there are before and after. */
export interface EntryChange {
	readonly version: string;
	readonly before: number;
	readonly after: number;
}

/** Copies that a line adds, with what it says of them. */
export interface EntryAddition {
	readonly version: string;
	readonly quantity: number;
	readonly condition?: Condition;
	readonly serial?: string;
	readonly place?: string;
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

/** A card that a line names, in the version that is meant. */
interface Named extends EntryAddition {
	readonly card: IndexedCard;
	readonly start: number;
	readonly end: number;
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

/** The cards of a group in the version that its qualities, or the context, say. */
function namedBy(
	group: EntryGroup,
	context: EntryContext,
	problems: Problem[],
	notes: Problem[]
): readonly Named[] {
	const { release } = context;
	const section = release.sections.find(({ key }) => key === group.sectionKey);
	const numberingKey = section ? (section.numberedIn ?? section.key) : context.numberingKey;
	const parallelKey = group.parallelKey ?? context.parallelKey;
	const condition = group.condition ?? context.condition;
	const named = group.items.flatMap((item): Named[] => {
		const { start, end } = item;
		const found = findCards(context.index, item, numberingKey);
		if (!found.ok) {
			problems.push({ start, end, message: found.message, remedy: found.remedy });
			return [];
		}
		if (found.note) notes.push({ start, end, message: found.note });
		const unmade = found.cards.filter((card) => !isMade(release, parallelKey, card));
		if (unmade.length > 0) {
			problems.push(notMade(release, parallelKey, unmade, start, end));
			return [];
		}
		return found.cards.flatMap((card): Named[] => {
			const variantKey = group.variant
				? variantNamed(group.variant.value, release, parallelKey, card)
				: null;
			if (variantKey === undefined) {
				problems.push({
					start: group.variant?.start,
					end: group.variant?.end,
					message: `${nameOf(card)} has no ${group.variant?.value ?? ''} that is a card of its own`,
					remedy: 'Record it on the page of the release first.'
				});
				return [];
			}
			const version = formatVersionKey({
				release: release.key,
				card: card.card.key,
				parallel: parallelKey,
				variant: variantKey
			});
			return [
				{
					card,
					start,
					end,
					version,
					quantity: group.times ?? item.quantity,
					...(condition ? { condition } : {}),
					...(group.serial ? { serial: group.serial.value } : {}),
					...(group.place === undefined ? {} : { place: group.place })
				}
			];
		});
	});
	if (group.serial && named.length > 0) checkSerial(group.serial, named, context, problems);
	return named;
}

function checkSerial(
	{ value, start, end }: { readonly value: string; readonly start: number; readonly end: number },
	named: readonly Named[],
	{ release }: EntryContext,
	problems: Problem[]
): void {
	const [only] = named;
	if (!only || named.length > 1 || only.quantity > 1) {
		problems.push({
			start,
			end,
			message: 'a serial number belongs to one card',
			remedy: 'Write each card with its own.'
		});
		return;
	}
	const [, , parallelKey = null] = /^([^~!]+)(?:~([^!]+))?/.exec(only.version) ?? [];
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	const rule = parallel && runRuleFor(parallel, only.card.section, only.card.card);
	const printRun = (parallel ? rule?.printRun : only.card.section.printRun) ?? null;
	problems.push(
		...checkCopy({ serial: value, quantity: 1 }, printRun).map((problem) => ({
			...problem,
			start,
			end
		}))
	);
}

/** The variant of a card that a word means; undefined where it has none, null where it adds no version. */
function variantNamed(
	word: string,
	release: Release,
	parallelKey: string | null,
	{ section, card }: IndexedCard
): string | null | undefined {
	const own = variantsOf(release.variants, section, card).filter(
		({ name, kind }) => normalPhrase(name) === normalPhrase(word) || kind === word
	);
	const [added] = addedVariants(own, parallelKey);
	if (added) return added.key;
	return own.some(({ kind }) => !VARIANT_KINDS[kind].addsVersion || kind === 'corrected')
		? null
		: undefined;
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

function nameOf({ card }: IndexedCard): string {
	return card.number ?? `"${card.title}"`;
}

function isMade(release: Release, parallelKey: string | null, found: IndexedCard): boolean {
	if (parallelKey === null) return true;
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	return parallel !== undefined && runRuleFor(parallel, found.section, found.card) !== undefined;
}

function notMade(
	release: Release,
	parallelKey: string | null,
	cards: readonly IndexedCard[],
	start: number,
	end: number
): Problem {
	const name = release.parallels.find(({ key }) => key === parallelKey)?.name ?? parallelKey ?? '';
	const sections = [...new Set(cards.map(({ section }) => section.name))].join(', ');
	const numbers = cards.slice(0, 3).map(nameOf);
	const more = cards.length > 3 ? ` and ${cards.length - 3} more` : '';
	return {
		start,
		end,
		message: `${name} was not made of ${numbers.join(', ')}${more} (${sections})`,
		remedy: 'Choose another finish, or leave these out.'
	};
}
