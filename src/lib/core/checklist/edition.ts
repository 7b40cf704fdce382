import type { Card } from './card.ts';
import { isNamed } from './card-selector.ts';
import type { Release } from './release.ts';
import type { Section } from './section.ts';
import { freeKey, slug } from './slug.ts';
import { normalCardNumber } from './card-number.ts';

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

function repeatedCards(release: Release, section: Section, edition: Edition): readonly Card[] {
	const taken = new Set(section.cards.map(({ key }) => key));
	return edition.of
		.flatMap(
			(key) => release.sections.find((other) => other.key === key && !other.edition)?.cards ?? []
		)
		.filter((card) => !edition.without.some((name) => isNamed(card, name)))
		.map((card) => {
			const { card: _, ...change } = edition.changes.find(({ card: name }) =>
				isNamed(card, name)
			) ?? {
				card: ''
			};
			// The key hangs on the card that is repeated, so that a new number or title leaves it alone.
			const name = card.number === null ? card.title : normalCardNumber(card.number);
			return { ...card, ...change, key: freeKey(`${section.key}-${slug(name)}`, taken) };
		});
}
