import type { Card } from './card.ts';
import { compareCardNumbers, sortByCardNumber } from './numbers/compare-card-numbers.ts';
import { compareFiled } from './filed-title.ts';
import { wholeSections } from './edition.ts';
import type { Release } from './release.ts';
import type { Section, Series } from './section.ts';

export interface NumberedCard {
	readonly card: Card;
	/** The section the card belongs to: the owner of the numbering, or a subset that lives in it. */
	readonly section: Section;
}

/** A run of numbers as it is filed: a section with the subsets that live in its numbering. */
export interface Numbering {
	readonly key: string;
	readonly name: string;
	readonly owner: Section;
	/** In number order; cards without a number in alphabetical order behind them. */
	readonly cards: readonly NumberedCard[];
}

/** The numberings of a release in the order of their owners; sections that share one are merged. */
export function numberingsOf(release: Release): readonly Numbering[] {
	const sections = wholeSections(release);
	const members = new Map<string, NumberedCard[]>();
	for (const section of sections) {
		const owner = section.numberedIn ?? section.key;
		const cards = members.get(owner) ?? [];
		for (const card of section.cards) cards.push({ card, section });
		members.set(owner, cards);
	}
	return sections
		.filter((section) => section.numberedIn === undefined)
		.map((owner) => ({
			key: owner.key,
			name: owner.name,
			owner,
			cards: sortByCardNumber(
				members.get(owner.key) ?? [],
				({ card }) => card.number,
				(a, b) => compareFiled(a.card, b.card)
			)
		}));
}

/** Tells of the cards of a release in which series of their numbering they were sold; undefined: in none. */
export function seriesFinder(
	release: Release
): (section: Section, card: Card) => Series | undefined {
	const owners = new Map(wholeSections(release).map((section) => [section.key, section]));
	return (section, { number }) =>
		seriesOf(owners.get(section.numberedIn ?? section.key) ?? section, number);
}

/** The series in which a number was sold; undefined where the numbering has none there. */
export function seriesOf(owner: Section, number: string | null): Series | undefined {
	if (number === null) return undefined;
	return owner.series.find(
		({ from, to }) => compareCardNumbers(from, number) <= 0 && compareCardNumbers(number, to) <= 0
	);
}
