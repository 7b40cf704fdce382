import { sum } from 'd3-array';
import { shareOf, type PackGroup, type PackProfile, type Slot } from '../profile/pack-profile.ts';
import { binomial, type Chances } from '../../chance/binomial.ts';
import type { DrawLaw } from './missing-chain.ts';
import { filledAfter, thinned } from './slot-law.ts';

/** How the cards of a group come, worked out from its profile. */
export interface GroupLaw {
	readonly group: PackGroup;
	/** The slot it comes in; null: so many in each pack. */
	readonly slot: Slot | null;
	/** The part of the slot's cards that are of it. */
	readonly share: number;
	/** Slots that take its place. */
	readonly takers: readonly Slot[];
	/** How many of it a pack holds; of what is guaranteed by box this holds on average only. */
	readonly draws: DrawLaw;
	/** Its cards come equally often, and at most one copy of each is lacking. */
	readonly isEven: boolean;
}

/** What is known of each group of a profile, in their order. */
export function groupLaws(profile: PackProfile, slots: readonly Slot[]): readonly GroupLaw[] {
	return profile.groups.map((group): GroupLaw => {
		const { comes, classes } = group;
		const slot = slots.find(({ groups }) => groups.includes(group)) ?? null;
		const takers = slots.filter(({ takesPlaceOf }) => takesPlaceOf === group.key);
		const share = slot ? shareOf(group, slot) : 1;
		const weights = new Set(classes.map(({ weight }) => weight));
		const isEven =
			weights.size === 1 &&
			classes.every(({ lacking }) => lacking <= 1) &&
			(comes.sort === 'odds' || comes.isAllDifferent || comes.count === 1);
		const draws: DrawLaw =
			comes.sort === 'odds'
				? [
						{ count: 1, chance: (slot?.chance ?? 0) * share },
						{ count: 0, chance: 1 - (slot?.chance ?? 0) * share }
					]
				: placesLeft(comes.count, takers);
		return { group, slot, share, takers, draws, isEven };
	});
}

/** Different cards of a group, and those of them that are lacking. */
export const cardsOf = ({ group }: GroupLaw): number => sum(group.classes, ({ cards }) => cards);
export const lackingOf = ({ group }: GroupLaw): number =>
	sum(group.classes, ({ cards, lacking }) => (lacking > 0 ? cards : 0));

/** How many places of a pack are left to a group whose places others take. */
function placesLeft(count: number, takers: readonly Slot[]): DrawLaw {
	let taken: readonly number[] = [1];
	for (const { chance } of takers) {
		taken = Array.from(
			{ length: taken.length + 1 },
			(_, t) => (taken[t] ?? 0) * (1 - chance) + (taken[t - 1] ?? 0) * chance
		);
	}
	return taken
		.map((chance, t) => ({ count: count - t, chance }))
		.filter(({ chance }) => chance > 0);
}

/** How many cards of a group come in so many packs. */
export function copiesAfter(
	{ group, slot, share, takers }: GroupLaw,
	packs: number,
	packsPerBox: number | null
): Chances {
	if (slot) {
		const filled = slot.perBox === null ? null : filledAfter(slot, packs, packsPerBox);
		return filled ? thinned(filled, share) : binomial(packs, Math.min(1, slot.chance * share));
	}
	const each = group.comes.sort === 'count' ? group.comes.count : 0;
	let taken: Chances = { from: 0, chances: Float64Array.of(1) };
	for (const taker of takers) taken = convolve(taken, filledAfter(taker, packs, packsPerBox));
	return {
		from: each * packs - (taken.from + taken.chances.length - 1),
		chances: taken.chances.slice().reverse()
	};
}

function convolve(a: Chances, b: Chances): Chances {
	const chances = new Float64Array(a.chances.length + b.chances.length - 1);
	for (let i = 0; i < a.chances.length; i++) {
		for (let j = 0; j < b.chances.length; j++) {
			chances[i + j] =
				(chances[i + j] as number) + (a.chances[i] as number) * (b.chances[j] as number);
		}
	}
	return { from: a.from + b.from, chances };
}

/** Cards of a group that a pack holds on average. */
export const copiesAPack = ({ draws }: GroupLaw): number =>
	sum(draws, ({ count, chance }) => count * chance);

/** How many copies of one card of a class come in so many packs. */
export function copiesOfCard(
	law: GroupLaw,
	weight: number,
	packs: number,
	packsPerBox: number | null
): Chances {
	const { group, slot, share, draws } = law;
	const whole = sum(group.classes, (part) => part.cards * part.weight);
	const part = whole === 0 ? 0 : weight / whole;
	if (slot) {
		return slot.perBox === null
			? binomial(packs, Math.min(1, slot.chance * share * part))
			: thinned(filledAfter(slot, packs, packsPerBox), share * part);
	}
	const { comes } = group;
	if (comes.sort === 'count' && comes.isAllDifferent) {
		// At most once a pack, and each pack by itself, but for what a guarantee ties together.
		return binomial(packs, Math.min(1, sum(draws, ({ count, chance }) => chance * count) * part));
	}
	return thinned(copiesAfter(law, packs, packsPerBox), part);
}
