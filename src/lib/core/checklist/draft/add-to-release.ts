import { group } from 'd3-array';
import { CARD_DETAILS, pickDetails } from '../card-details.ts';
import type { Card } from '../card.ts';
import { normalCardNumber } from '../numbers/card-number.ts';
import { runRuleFor, type Parallel, type RunRule } from '../parallel.ts';
import { cardsOf, type Release } from '../release.ts';
import type { Section } from '../section.ts';
import { freeKey } from '../slug.ts';
import { keepKeys } from './keep-keys.ts';

/**
 * A release with the cards of a list added to it: nothing of it goes. A section of the same name takes the
 * cards in; a card of the same number (or title) in the same numbering is the same card, and gets from
 * the list what it lacks. Finishes that the list tells of single cards are added for these.
 */
export function addToRelease(before: Release, list: Release): Release {
	const more = keepKeys(before, list);
	const taken = new Set(cardsOf(before).map(({ card }) => card.key));
	const numberingOf = new Map(
		[...more.sections, ...before.sections].map(({ key, numberedIn }) => [key, numberedIn ?? key])
	);
	const placeOf = (section: string, { number, title }: Card) =>
		`${numberingOf.get(section) ?? section} ${number === null ? `"${title}` : normalCardNumber(number)}`;
	/** Cards that stand at each place: several, where two bear the same number or title. */
	const places = group(
		before.sections.flatMap(({ key, cards }) =>
			cards.map((card) => ({ place: placeOf(key, card), card }))
		),
		({ place }) => place
	);
	/** Key of a card in the list → the card as it becomes. */
	const becomes = new Map<string, Card>();
	const filled = new Map<string, Card>();
	const added = more.sections.map((section): Section => {
		const fresh: Card[] = [];
		for (const card of section.cards) {
			const place = placeOf(section.key, card);
			const same = places.get(place) ?? [];
			// Of cards of one name each is its own: the key tells them apart.
			const { card: known } = same.find((other) => other.card.key === card.key) ?? same[0] ?? {};
			const joined = known
				? fillCard(filled.get(known.key) ?? known, card)
				: { ...card, key: freeKey(card.key, taken) };
			if (known) filled.set(known.key, joined);
			else {
				fresh.push(joined);
				places.set(place, [...same, { place, card: joined }]);
			}
			becomes.set(card.key, joined);
		}
		return { ...section, cards: fresh };
	});
	// A list may say more of a card that it added itself, further down.
	const asFilled = (card: Card) => filled.get(card.key) ?? card;
	const fresh = added.map((section) => ({ ...section, cards: section.cards.map(asFilled) }));
	const sections = [
		...before.sections.map((section) => ({
			...section,
			cards: [
				...section.cards.map(asFilled),
				...(fresh.find(({ key }) => key === section.key)?.cards ?? [])
			]
		})),
		...fresh.filter(({ key, cards, edition }) => {
			return (
				(cards.length > 0 || edition) && !before.sections.some((section) => section.key === key)
			);
		})
	];
	const whole = { ...before, sections };
	return {
		...whole,
		packTypes: byKey(before.packTypes, more.packTypes),
		variants: byKey(before.variants, more.variants),
		...listAs('collectibles', byKey(before.collectibles, more.collectibles)),
		...listAs('hunts', byKey(before.hunts, more.hunts)),
		rarities: [...new Set([...before.rarities, ...more.rarities])],
		parallels: addFinishes(whole, more, becomes)
	};
}

/** What is there, and of the others what has another key. */
function byKey<Thing extends { readonly key: string }>(
	things: readonly Thing[] = [],
	more: readonly Thing[] = []
): readonly Thing[] {
	const keys = new Set(things.map(({ key }) => key));
	return [...things, ...more.filter(({ key }) => !keys.has(key))];
}

/** A list under its name, where it holds something. */
const listAs = <Name extends string, Thing>(name: Name, list: readonly Thing[]) =>
	(list.length > 0 ? { [name]: list } : {}) as Partial<Record<Name, readonly Thing[]>>;

/** What a card has stays; what it lacks comes from the list. */
function fillCard(card: Card, more: Card): Card {
	return {
		...pickDetails(more, CARD_DETAILS),
		...card,
		title: card.title || more.title,
		subjects: joined(card.subjects, more.subjects),
		marks: joined(card.marks, more.marks),
		...((card.group ?? more.group) ? { group: card.group ?? more.group } : {}),
		...((card.rarity ?? more.rarity) ? { rarity: card.rarity ?? more.rarity } : {})
	};
}

const joined = <Word>(words: readonly Word[], more: readonly Word[]): readonly Word[] => [
	...words,
	...new Set(more.filter((word) => !words.includes(word)))
];

/** The parallels of a release with those of a list, for cards that they do not cover yet. */
function addFinishes(
	release: Release,
	list: Release,
	becomes: ReadonlyMap<string, Card>
): readonly Parallel[] {
	const home = new Map(cardsOf(release).map(({ card, section }) => [card.key, section]));
	const named = list.parallels.map((parallel): Parallel => {
		const known = release.parallels.find(({ key }) => key === parallel.key);
		const uncovered = cardsOf(list).flatMap(({ card, section }) => {
			const rule = runRuleFor(parallel, section, card);
			const joined = becomes.get(card.key);
			const at = joined && home.get(joined.key);
			if (!rule || !at || (known && runRuleFor(known, at, joined))) return [];
			return [{ rule, card: joined, section: at }];
		});
		const runs = group(
			uncovered,
			({ section }) => section.key,
			({ rule }) => `${rule.printRun ?? ''} ${rule.confidence ?? ''}`
		);
		const rules = [...runs].flatMap(([section, byRun]) =>
			[...byRun.values()].map((same): RunRule => {
				const [first] = same;
				return {
					sections: [section],
					cards: same.map(({ card }) => card.number ?? card.title),
					...(first ? pickDetails(first.rule, ['printRun', 'confidence']) : {})
				};
			})
		);
		return { ...(known ?? parallel), runs: [...(known?.runs ?? []), ...rules] };
	});
	return [
		...release.parallels.map(
			(parallel) => named.find(({ key }) => key === parallel.key) ?? parallel
		),
		...named.filter(
			({ key, runs }) => runs.length > 0 && !release.parallels.some((known) => known.key === key)
		)
	];
}
