import type { Card } from '../card.ts';
import { CARD_DETAILS, pickDetails, withoutDetails } from '../card-details.ts';
import { wholeSections } from '../edition.ts';
import { runRuleFor, type Parallel } from '../parallel.ts';
import { cardsOf, type Release } from '../release.ts';
import type { Section } from '../section.ts';

/** How many things of a kind an edit adds, changes and removes. */
export interface ChangeCount {
	readonly kind: 'sections' | 'cards' | 'parallels' | 'variants';
	readonly added: number;
	readonly changed: number;
	readonly removed: number;
}

/** What becomes of a release when another takes its place, by key; kinds in which nothing changes are left out. */
export function releaseChanges(before: Release, after: Release): readonly ChangeCount[] {
	const cards = (release: Release) => release.sections.flatMap((section) => section.cards);
	const bare = (release: Release) => release.sections.map(({ cards: _, ...section }) => section);
	return [
		countChanges('sections', bare(before), bare(after)),
		countChanges('cards', cards(before), cards(after)),
		countChanges('parallels', before.parallels, after.parallels),
		countChanges('variants', before.variants, after.variants)
	].filter(({ added, changed, removed }) => added + changed + removed > 0);
}

function countChanges(
	kind: ChangeCount['kind'],
	before: readonly { readonly key: string }[],
	after: readonly { readonly key: string }[]
): ChangeCount {
	const old = new Map(before.map((thing) => [thing.key, JSON.stringify(inOrder(thing))]));
	const kept = after.filter(({ key }) => old.has(key));
	return {
		kind,
		added: after.length - kept.length,
		changed: kept.filter((thing) => old.get(thing.key) !== JSON.stringify(inOrder(thing))).length,
		removed: before.length - kept.length
	};
}

/** The fields in one order, so that things with the same fields are the same text. */
function inOrder(thing: object): readonly (readonly [string, unknown])[] {
	return Object.entries(thing)
		.filter(([, value]) => value !== undefined)
		.sort(([a], [b]) => (a < b ? -1 : 1));
}

/**
 * A release read from a table, with what tables do not carry kept from the release it replaces: key,
 * note, pack types, variants, what is collected and hunted beside the cards, what is known of single cards
 * beside their line, how sections are made, how parallels are told, editions and narrow run rules
 * as long as the table says the same of every card.
 */
export function keepUnsaid(before: Release, after: Release): Release {
	const oldSections = new Map(before.sections.map((section) => [section.key, section]));
	const oldWhole = new Map(wholeSections(before).map((section) => [section.key, section.cards]));
	const sections = after.sections.map((section): Section => {
		const old = oldSections.get(section.key);
		if (!old) return section;
		const isSame = sameCards(oldWhole.get(section.key) ?? [], section.cards);
		const oldCards = new Map(old.cards.map((card) => [card.key, card]));
		const newCards = new Map(section.cards.map((card) => [card.key, card]));
		return {
			...old,
			...section,
			alsoIn: section.alsoIn.length > 0 ? section.alsoIn : old.alsoIn,
			// What the table does say of single cards counts; of cards that an edition repeats nothing is kept.
			cards: (isSame && old.edition
				? old.cards.map((card) => newCards.get(card.key) ?? card)
				: section.cards
			).map((card) => ({ ...untold(oldCards.get(card.key)), ...card })),
			...(isSame ? { edition: old.edition } : { edition: undefined })
		};
	});
	const oldParallels = new Map(before.parallels.map((parallel) => [parallel.key, parallel]));
	const runsIn = (release: Release, parallel: Parallel) =>
		cardsOf(release)
			.map(({ section, card }) => {
				const rule = runRuleFor(parallel, section, card);
				return `${card.key} ${rule ? (rule.printRun ?? '') : 'none'}`;
			})
			.sort()
			.join('\n');
	return {
		...after,
		key: before.key,
		...((after.theme ?? before.theme) ? { theme: after.theme ?? before.theme } : {}),
		note: after.note ?? before.note,
		...(before.collectibles ? { collectibles: before.collectibles } : {}),
		...(before.hunts ? { hunts: before.hunts } : {}),
		packTypes: after.packTypes.length > 0 ? after.packTypes : before.packTypes,
		variants: after.variants.length > 0 ? after.variants : before.variants,
		sections,
		parallels: after.parallels.map((parallel) => {
			const old = oldParallels.get(parallel.key);
			if (!old) return parallel;
			const isSame = runsIn(before, old) === runsIn(after, parallel);
			return { ...old, ...parallel, runs: isSame ? old.runs : parallel.runs };
		})
	};
}

function sameCards(before: readonly Card[], after: readonly Card[]): boolean {
	const text = (cards: readonly Card[]) =>
		JSON.stringify(cards.map((card) => inOrder(withoutDetails(card))));
	return before.length === after.length && text(before) === text(after);
}

/** What tables do not carry of a card. */
const untold = (card: Card | undefined) => (card ? pickDetails(card, CARD_DETAILS) : {});
