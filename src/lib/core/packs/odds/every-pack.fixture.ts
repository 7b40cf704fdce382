import { slotsOf, type PackGroup, type PackProfile } from '../profile/pack-profile.ts';

/** Copies of each card, all groups and classes one after the other; what is beyond what is lacking does not count. */
type State = string;

/**
 * Every pack that can be, gone through one by one: what is here after so many packs, with its chance. An oracle for small
 * profiles: no formula, only the rules by which a pack is filled.
 *
 * @returns after 0, 1, … packs, by group: copies missing on average and the chance of none; and the chance of none in all
 */
export function everyPack(profile: PackProfile, packs: number) {
	const cards = everyCard(profile);
	const states = everyState(profile, packs, (card) => card.lacking);
	return states.map((state) => {
		const groups = profile.groups.map(() => ({ missing: 0, complete: 0 }));
		let complete = 0;
		for (const { copies, chance } of state) {
			const short = profile.groups.map((group) =>
				cards.reduce(
					(sum, card, i) => (card.group === group ? sum + card.lacking - (copies[i] ?? 0) : sum),
					0
				)
			);
			for (const [g, missing] of short.entries()) {
				const here = groups[g];
				if (!here) continue;
				here.missing += chance * missing;
				if (missing === 0) here.complete += chance;
			}
			if (short.every((missing) => missing === 0)) complete += chance;
		}
		return { groups, complete };
	});
}

interface EachCard {
	readonly group: PackGroup;
	readonly weight: number;
	readonly lacking: number;
}

/** Every card of a profile, groups and classes one after the other. */
export const everyCard = (profile: PackProfile): readonly EachCard[] =>
	profile.groups.flatMap((group) =>
		group.classes.flatMap(({ cards, weight, lacking }) =>
			Array.from({ length: cards }, () => ({ group, weight, lacking }))
		)
	);

/**
 * What may be here after 0, 1, … packs, with its chance.
 *
 * @param most copies of a card that are told apart from fewer
 */
export function everyState(
	profile: PackProfile,
	packs: number,
	most: (card: EachCard) => number
): readonly (readonly { readonly copies: readonly number[]; readonly chance: number }[])[] {
	const cards = everyCard(profile);
	const slots = slotsOf(profile);
	const placesOf = (group: PackGroup) => [...cards.keys()].filter((i) => cards[i]?.group === group);
	const limits = cards.map(most);
	/** States with the packs of the box that had each slot filled. */
	let now = new Map<State, number>([[JSON.stringify([cards.map(() => 0), slots.map(() => 0)]), 1]]);
	const told = [tell()];
	for (let m = 0; m < packs; m++) {
		const next = new Map<State, number>();
		for (const [state, chance] of now) {
			const [copies, filled] = JSON.parse(state) as [number[], number[]];
			const place = profile.packsPerBox === null ? 0 : m % profile.packsPerBox;
			const before = place === 0 ? filled.map(() => 0) : filled;
			for (const pack of packsAfter(place, before)) {
				const after = copies.map((count, i) =>
					Math.min(limits[i] ?? 0, count + (pack.copies.get(i) ?? 0))
				);
				const key = JSON.stringify([after, pack.filled]);
				next.set(key, (next.get(key) ?? 0) + chance * pack.chance);
			}
		}
		now = next;
		told.push(tell());
	}
	return told;

	function tell() {
		const sums = new Map<string, number>();
		for (const [state, chance] of now) {
			const key = JSON.stringify((JSON.parse(state) as [number[], number[]])[0]);
			sums.set(key, (sums.get(key) ?? 0) + chance);
		}
		return [...sums].map(([key, chance]) => ({ copies: JSON.parse(key) as number[], chance }));
	}

	interface Pack {
		readonly copies: ReadonlyMap<number, number>;
		readonly filled: readonly number[];
		readonly chance: number;
	}

	/** All packs that may come next, with their chances. */
	function packsAfter(place: number, filled: readonly number[]): readonly Pack[] {
		let some: { copies: Map<number, number>; filled: number[]; chance: number; taken: string[] }[] =
			[{ copies: new Map(), filled: [...filled], chance: 1, taken: [] }];
		for (const [s, slot] of slots.entries()) {
			some = some.flatMap((pack) => {
				const fills =
					slot.perBox === null
						? slot.chance
						: (slot.perBox - (filled[s] ?? 0)) / ((profile.packsPerBox ?? 1) - place);
				const stated = slot.groups.map(({ comes }) =>
					comes.sort === 'odds' ? comes.cards / comes.packs : 0
				);
				const all = stated.reduce((sum, each) => sum + each, 0);
				const taken = slot.takesPlaceOf === null ? [] : [slot.takesPlaceOf];
				const full = pack.filled.map((count, i) => (i === s ? count + 1 : count));
				return [
					{ ...pack, chance: pack.chance * (1 - fills) },
					...slot.groups.flatMap((group, g) =>
						draws(group, 1, false).map(({ copies, chance }) => ({
							copies: added(pack.copies, copies),
							filled: full,
							chance: (pack.chance * fills * chance * (stated[g] ?? 0)) / all,
							taken: [...pack.taken, ...taken]
						}))
					)
				];
			});
		}
		for (const group of profile.groups) {
			const { comes } = group;
			if (comes.sort !== 'count') continue;
			some = some.flatMap((pack) => {
				const count = comes.count - pack.taken.filter((key) => key === group.key).length;
				return draws(group, count, comes.isAllDifferent).map(({ copies, chance }) => ({
					...pack,
					copies: added(pack.copies, copies),
					chance: pack.chance * chance
				}));
			});
		}
		return some.filter(({ chance }) => chance > 0);
	}

	/** All ways to draw so many cards of a group, one after the other. */
	function draws(group: PackGroup, count: number, isAllDifferent: boolean) {
		let some: { copies: Map<number, number>; chance: number }[] = [
			{ copies: new Map(), chance: 1 }
		];
		for (let k = 0; k < count; k++) {
			some = some.flatMap(({ copies, chance }) => {
				const open = placesOf(group).filter((i) => !isAllDifferent || !copies.has(i));
				const whole = open.reduce((sum, i) => sum + (cards[i]?.weight ?? 0), 0);
				return open.map((i) => ({
					copies: added(copies, new Map([[i, 1]])),
					chance: (chance * (cards[i]?.weight ?? 0)) / whole
				}));
			});
		}
		return some;
	}
}

function added(a: ReadonlyMap<number, number>, b: ReadonlyMap<number, number>) {
	const sum = new Map(a);
	for (const [i, count] of b) sum.set(i, (sum.get(i) ?? 0) + count);
	return sum;
}
