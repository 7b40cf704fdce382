import { finishKeysOf } from '../checklist/versions/finish-keys.ts';
import { findVersion } from '../checklist/versions/find-version.ts';
import type { Release } from '../checklist/release.ts';
import { addedVariants, VARIANT_KINDS, variantsOf } from '../checklist/variant.ts';
import { formatVersionKey } from '../checklist/versions/version-key.ts';
import { checkCopy } from '../copies/check-copy.ts';
import type { Condition } from '../copies/condition.ts';
import type { Problem } from '../problem.ts';
import type { IndexedCard } from './card-index.ts';
import type { EntryContext } from './entry-context.ts';
import type { EntryItem } from './entry-line.ts';
import { findCards, type SearchPlace } from './find-cards.ts';
import type { EntryGroup } from './group-items.ts';
import type { Placed, Qualities, Span } from './read-tokens.ts';
import { normalPhrase } from './vocabulary.ts';

/** The most cards that words of one line may name: a slip of the hand, or a trap, past that. */
export const MOST_NAMED = 100_000;

/** Copies that a line adds, with what it says of them. */
export interface EntryAddition {
	readonly version: string;
	readonly quantity: number;
	readonly condition?: Condition;
	readonly serial?: string;
	readonly place?: string;
}

/** A card that a line names, in the version that is meant. */
export interface Named extends EntryAddition, Span {
	readonly card: IndexedCard;
}

/** Where the cards of a group are looked for: in the section it names, or in the one that is chosen. */
export function searchPlaceOf(
	{ sectionKey }: Pick<Qualities, 'sectionKey'>,
	{ release, numberingKey }: EntryContext
): SearchPlace {
	const section = release.sections.find(({ key }) => key === sectionKey);
	return section ? { section, numberingKey: section.numberedIn ?? section.key } : { numberingKey };
}

/** The cards that an item names; what it names none of is a problem. */
export function cardsOfItem(
	item: EntryItem,
	place: SearchPlace,
	{ index }: EntryContext,
	problems: Problem[],
	notes: Problem[]
): readonly IndexedCard[] {
	const { start, end } = item;
	const found = findCards(index, item, place);
	if (!found.ok) {
		problems.push({ start, end, message: found.message, remedy: found.remedy });
		return [];
	}
	if (found.note) notes.push({ start, end, message: found.note });
	return found.cards;
}

/** The cards of a group in the version that its words, or the context, say. */
export function namedBy(
	group: EntryGroup,
	context: EntryContext,
	problems: Problem[],
	notes: Problem[]
): readonly Named[] {
	const { release } = context;
	const place = searchPlaceOf(group, context);
	let count = 0;
	const named = group.items.flatMap((item): readonly Named[] => {
		const { start, end } = item;
		if (count > MOST_NAMED) return [];
		const cards = cardsOfItem(item, place, context, problems, notes);
		count += cards.length;
		if (count > MOST_NAMED) {
			problems.push(tooMany(item));
			return [];
		}
		const unmade = cards.filter((card) => meantFinish(card, group, context) === null);
		if (unmade.length > 0) {
			const parallelKey = group.parallelKey ?? context.parallelKey;
			problems.push({ start, end, ...notMade(release, parallelKey, unmade) });
			return [];
		}
		const without = cards.find((card) => meantVariant(card, group, context) === null);
		if (without) {
			problems.push(hasNo(group.variant, nameOf(without)));
			return [];
		}
		return cards.map((card) => ({
			card,
			start,
			end,
			...additionOf(card, group, context),
			quantity: group.times ?? item.quantity
		}));
	});
	if (group.serial && named.length > 0) checkSerial(group.serial, named, context, problems);
	return named;
}

export function tooMany(item: Span | undefined): Problem {
	return {
		start: item?.start ?? 0,
		end: item?.end ?? 0,
		message: `the line names more than ${MOST_NAMED} cards`,
		remedy: 'Write it as several lines.'
	};
}

/** One copy of a card with what words say of it; the card must have the finish and variant that they name. */
export function additionOf(
	card: IndexedCard,
	words: Qualities,
	context: EntryContext
): EntryAddition {
	const { release } = context;
	const condition = words.condition ?? context.condition;
	return {
		version: formatVersionKey({
			release: release.key,
			card: card.card.key,
			parallel: meantFinish(card, words, context)?.key ?? null,
			variant: meantVariant(card, words, context)?.key ?? null
		}),
		quantity: 1,
		...(condition ? { condition } : {}),
		...(words.serial ? { serial: words.serial.value } : {}),
		...(words.place === undefined ? {} : { place: words.place })
	};
}

/** A finish by its key; null: the base finish. */
interface MeantFinish {
	readonly key: string | null;
}

/**
 * The finish of a card that words, or the context, mean; null where it was not made in it. Where there
 * is no base finish and only a single other, that is meant by no word at all.
 */
export function meantFinish(
	{ section, card }: IndexedCard,
	words: Pick<Qualities, 'parallelKey'>,
	{ release, parallelKey }: EntryContext
): MeantFinish | null {
	const said = words.parallelKey ?? parallelKey;
	if (said === null && !section.noBaseFinish) return { key: null };
	const made = finishKeysOf(release, section, card);
	if (said !== null) return made.includes(said) ? { key: said } : null;
	const [only] = made;
	return only !== undefined && made.length === 1 ? { key: only } : null;
}

/** What words mean of a card: a variant by its key, or the regular card. */
interface MeantVariant {
	/** Null: the regular card. */
	readonly key: string | null;
}

/** The variant that words mean of a card; null where it has no such variant. */
export function meantVariant(
	card: IndexedCard,
	words: Pick<Qualities, 'variant' | 'parallelKey'>,
	context: EntryContext
): MeantVariant | null {
	const parallelKey = meantFinish(card, words, context)?.key ?? null;
	return words.variant
		? variantNamed(words.variant.value, context.release, parallelKey, card)
		: { key: null };
}

/** What is wrong with a serial number: it is said of several cards, or its card has no such copy. */
export function checkSerial(
	{ value, start, end }: Placed<string>,
	named: readonly (EntryAddition & { readonly card: IndexedCard })[],
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
	// Only a stamped run is one that a serial number is held against; an estimate is none.
	const printRun = findVersion(release, only.version)?.printRun ?? null;
	problems.push(
		...checkCopy({ serial: value, quantity: 1 }, printRun).map((problem) => ({
			...problem,
			start,
			end
		}))
	);
}

/** The variant of a card that a word means; the regular card where the variant adds no version. */
function variantNamed(
	word: string,
	release: Release,
	parallelKey: string | null,
	{ section, card }: IndexedCard
): MeantVariant | null {
	const deviations = variantsOf(release.variants, section, card).filter(
		({ name, kind }) => normalPhrase(name) === normalPhrase(word) || kind === word
	);
	const [added] = addedVariants(deviations, parallelKey);
	if (added) return { key: added.key };
	return deviations.some(({ kind }) => !VARIANT_KINDS[kind].addsVersion || kind === 'corrected')
		? { key: null }
		: null;
}

function hasNo(variant: Placed<string> | undefined, card: string): Problem {
	return {
		start: variant?.start,
		end: variant?.end,
		message: `${card} has no ${variant?.value ?? ''} that is a card of its own`,
		remedy: 'Record it on the page of the release first.'
	};
}

export function nameOf({ card }: IndexedCard): string {
	return card.number ?? `"${card.title}"`;
}

function notMade(
	release: Release,
	parallelKey: string | null,
	cards: readonly IndexedCard[]
): Pick<Problem, 'message' | 'remedy'> {
	const nameIn = (key: string | null) =>
		release.parallels.find((parallel) => parallel.key === key)?.name ?? key ?? '';
	const sections = [...new Set(cards.map(({ section }) => section.name))].join(', ');
	const numbers = cards.slice(0, 3).map(nameOf);
	const more = cards.length > 3 ? ` and ${cards.length - 3} more` : '';
	const whose = `${numbers.join(', ')}${more} (${sections})`;
	if (parallelKey === null) {
		const made = cards.flatMap(({ section, card }) => finishKeysOf(release, section, card));
		const names = [...new Set(made)].map(nameIn).join(', ');
		return {
			message: `there is no base finish of ${whose}`,
			remedy: names ? `Say which finish: ${names}.` : 'Enter the finishes it was made in first.'
		};
	}
	return {
		message: `${nameIn(parallelKey)} was not made of ${whose}`,
		remedy: 'Choose another finish, or leave these out.'
	};
}
