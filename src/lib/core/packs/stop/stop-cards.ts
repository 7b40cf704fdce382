import { sum } from 'd3-array';
import { groupLaws, type GroupLaw } from '../odds/group-law.ts';
import { slotsOf, type PackClass, type PackProfile } from '../profile/pack-profile.ts';
import type { CardLaw } from './card-pairs.ts';

/** Cards of a group with what they cost singly and what one too many brings. */
export interface PricedClass extends PackClass {
	/** A single with its share of postage; what is lacking costs this in the end. In minor units. */
	readonly singleMinor: number;
	/** What a copy brings that fills nothing: sold, or in trade. */
	readonly extraMinor: number;
}

/** Equal cards, and how they come in each kind of pack. */
export interface StopCards extends Omit<PricedClass, 'weight'> {
	/** By kind; null: it never has them. */
	readonly laws: readonly (CardLaw | null)[];
}

/** Equal cards by the groups that have them. */
export interface PlacedCards extends Omit<StopCards, 'laws'> {
	/** By kind of pack: the group, and how often each comes beside its other cards; null: it never has them. */
	readonly comes: readonly ({ readonly group: string; readonly weight: number } | null)[];
}

/** How cards come in packs of some kinds, by the groups that have them. */
export function stopCards(
	kinds: readonly PackProfile[],
	cards: readonly PlacedCards[]
): readonly StopCards[] {
	const laws = kinds.map((profile) => {
		const all = groupLaws(profile, slotsOf(profile));
		return new Map(all.map((law) => [law.group.key, law]));
	});
	return cards.map(({ comes, ...some }) => ({
		...some,
		laws: laws.map((byKey, k) => {
			const place = comes[k];
			const law = place && byKey.get(place.group);
			return law ? cardLaw(law, place.weight) : null;
		})
	}));
}

/** How one card comes in a pack. */
function cardLaw(law: GroupLaw, weight: number): CardLaw {
	const { draws } = law;
	const { classes, comes } = law.group;
	const whole = sum(classes, (part) => part.cards * part.weight);
	const part = whole === 0 ? 0 : weight / whole;
	// Drawn singly a card may come twice in a pack; then each of the pack's cards is a try.
	const tries = comes.sort === 'count' && !comes.isAllDifferent ? comes.count : 1;
	const mean = sum(draws, ({ count, chance }) => count * chance);
	return { law, part, rate: mean * part, tries };
}
