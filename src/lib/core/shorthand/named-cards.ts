import { runRuleFor } from '../checklist/parallel.ts';
import type { Release } from '../checklist/release.ts';
import { addedVariants, VARIANT_KINDS, variantsOf } from '../checklist/variant.ts';
import { formatVersionKey } from '../checklist/version-key.ts';
import { checkCopy } from '../goal/check-copy.ts';
import type { Condition } from '../goal/condition.ts';
import type { Problem } from '../problem.ts';
import type { IndexedCard } from './card-index.ts';
import type { EntryContext } from './entry-context.ts';
import { findCards } from './find-cards.ts';
import type { EntryGroup } from './group-items.ts';
import { normalPhrase } from './vocabulary.ts';

/** Copies that a line adds, with what it says of them. */
export interface EntryAddition {
	readonly version: string;
	readonly quantity: number;
	readonly condition?: Condition;
	readonly serial?: string;
	readonly place?: string;
}

/** A card that a line names, in the version that is meant. */
export interface Named extends EntryAddition {
	readonly card: IndexedCard;
	readonly start: number;
	readonly end: number;
}

/** The cards of a group in the version that its qualities, or the context, say. */
export function namedBy(
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

export function nameOf({ card }: IndexedCard): string {
	return card.number ?? `"${card.title}"`;
}

export function isMade(release: Release, parallelKey: string | null, found: IndexedCard): boolean {
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
