import type { Card } from './card.ts';
import { pickDetails, withoutDetails } from './card-details.ts';
import { isNamed, namesOf } from './card-selector.ts';
import type { Release } from './release.ts';
import type { Section } from './section.ts';
import { asciiSlug, keyMaker } from './slug.ts';
import { normalCardNumber } from './numbers/card-number.ts';
import { numberFrom } from './number-from.ts';

/** How one card of an edition differs from the card it repeats. */
export interface CardChange {
	/** The card as people call it: its number, or its title where it has none. */
	readonly card: string;
	readonly number?: string;
	readonly title?: string;
	readonly group?: string;
}

/** "The same cards as these sections, with these changes, without those." */
export interface Edition {
	readonly of: readonly string[];
	readonly changes: readonly CardChange[];
	readonly without: readonly string[];
	/** The number of its first card, from which the others count on (`numberFrom`): the same cards "from 89". */
	readonly from?: string;
}

/**
 * The sections of a release with the cards of every edition worked out from its rule: first the
 * repeated cards in the order of the sections named, then those that the edition adds. An edition
 * of an edition, or of a section that is not there, repeats nothing (the checks name it).
 */
export function wholeSections(release: Release): readonly Section[] {
	if (release.sections.every(({ edition }) => edition === undefined)) return release.sections;
	return release.sections.map((section) =>
		section.edition === undefined
			? section
			: {
					...section,
					cards: [...repeatedCards(release, section, section.edition), ...section.cards]
				}
	);
}

/** Finds for a card the first entry that names it. */
function finderOf<Entry>(
	entries: readonly Entry[],
	nameOf: (entry: Entry) => string
): (card: Card) => Entry | undefined {
	const byName = new Map<string, { readonly entry: Entry; readonly at: number }>();
	entries.forEach((entry, at) => {
		const name = nameOf(entry);
		for (const way of new Set([name, normalCardNumber(name)])) {
			if (!byName.has(way)) byName.set(way, { entry, at });
		}
	});
	return (card) =>
		namesOf(card)
			.flatMap((name) => byName.get(name) ?? [])
			.filter(({ entry }) => isNamed(card, nameOf(entry)))
			.sort((a, b) => a.at - b.at)[0]?.entry;
}

function repeatedCards(release: Release, section: Section, edition: Edition): readonly Card[] {
	return repeatedBy(release, section, edition).map(({ card }) => card);
}

/** The cards that an edition repeats, each with the card it is made of, in the order of the sections named. */
export function repeatedBy(
	release: Release,
	section: Section,
	edition: Edition
): readonly { readonly original: Card; readonly card: Card }[] {
	const makeKey = keyMaker(new Set(section.cards.map(({ key }) => key)));
	const changes = finderOf(edition.changes, ({ card }) => card);
	const without = finderOf(edition.without, (name) => name);
	const originals = edition.of
		.flatMap(
			(key) => release.sections.find((other) => other.key === key && !other.edition)?.cards ?? []
		)
		.filter((original) => without(original) === undefined);
	const numbers = edition.from === undefined ? [] : numberFrom(edition.from, originals);
	return originals.map((original, i) => {
		const { card: _, ...change } = changes(original) ?? { card: '' };
		const number = numbers[i] ?? original.number;
		// The key hangs on the card that is repeated, so that a new number or title leaves it alone.
		const name = original.number === null ? original.title : normalCardNumber(original.number);
		const key = makeKey(`${section.key}-${asciiSlug(name)}`);
		return { original, card: { ...ofEdition(original), number, ...change, key } };
	});
}

/** What a card has in every edition; how it was made, found and sold is told of one of them. */
function ofEdition(original: Card): Card {
	return { ...withoutDetails(original), ...pickDetails(original, ['tags', 'sortAs']) };
}

/**
 * What the card that an edition repeats is called in its changes: its number, or its title where it has none;
 * null where two of them are called so, since a change would mean both.
 */
export function changeNames(
	repeated: readonly { readonly original: Card; readonly card: Card }[]
): ReadonlyMap<string, string | null> {
	const nameOf = ({ number, title }: Card) => number ?? title;
	const bearers = new Map<string, number>();
	for (const { original } of repeated) {
		const name = normalCardNumber(nameOf(original));
		bearers.set(name, (bearers.get(name) ?? 0) + 1);
	}
	return new Map(
		repeated.map(({ original, card }) => {
			const name = nameOf(original);
			return [card.key, bearers.get(normalCardNumber(name)) === 1 ? name : null];
		})
	);
}

/** What a person writes of a card of an edition; an empty text: as on the card it repeats. */
export interface WrittenChange {
	readonly card: string;
	readonly number?: string | undefined;
	readonly title?: string | undefined;
	readonly group?: string | undefined;
}

/** An edition with another change of the card that a name means: a field that is left out stays as it was. */
export function withChange(edition: Edition, { card, ...written }: WrittenChange): Edition {
	const known = edition.changes.find((change) => change.card === card);
	const { card: _, ...said } = known ?? { card };
	const fields = { ...said };
	for (const field of ['number', 'title', 'group'] as const) {
		const text = written[field]?.trim();
		if (text) Object.assign(fields, { [field]: text });
		else if (text === '') Reflect.deleteProperty(fields, field);
	}
	const others = edition.changes.filter((change) => change !== known);
	if (Object.keys(fields).length === 0) return { ...edition, changes: others };
	const change: CardChange = { card, ...fields };
	return {
		...edition,
		changes: known
			? edition.changes.map((each) => (each === known ? change : each))
			: [...others, change]
	};
}
