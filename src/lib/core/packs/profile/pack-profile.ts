import { sum } from 'd3-array';
import type { Problem } from '../../problem.ts';

/** Cards of a group that come equally often and of which as many are lacking. */
export interface PackClass {
	/** Different cards. */
	readonly cards: number;
	/** How often each comes, beside those of the other classes: 2 is twice as often. */
	readonly weight: number;
	/** Copies of each that are lacking; 0: it is not wanted, or it is here. */
	readonly lacking: number;
}

/** How the cards of a group come in a pack. */
export type PackWay =
	/** So many in each pack. */
	| { readonly sort: 'count'; readonly count: number; readonly isAllDifferent: boolean }
	/** So many in so many packs on average, at most a card a pack: 1:6 is a card in one pack of six. */
	| { readonly sort: 'odds'; readonly cards: number; readonly packs: number };

/** Cards that come in packs in one way: a section, its short prints, a finish of it. */
export interface PackGroup {
	readonly key: string;
	readonly classes: readonly PackClass[];
	readonly comes: PackWay;
	/** Groups of one slot share one place in the pack: at most one card of them all comes in it. */
	readonly slot?: string;
	/** Key of the group whose place a card of this one takes: an insert instead of a base card. */
	readonly takesPlaceOf?: string;
}

/** So many cards of a slot in every box, no more and no fewer, each in another pack. */
export interface Guarantee {
	readonly slot: string;
	readonly count: number;
}

/** What a kind of pack holds. */
export interface PackProfile {
	readonly groups: readonly PackGroup[];
	readonly guarantees: readonly Guarantee[];
	readonly packsPerBox: number | null;
	readonly cardsPerPack: number | null;
}

/** A place in the pack in which at most one card comes, of one of some groups. */
export interface Slot {
	readonly name: string;
	readonly groups: readonly PackGroup[];
	/** Chance of a pack to have it filled, 0 to 1. */
	readonly chance: number;
	/** Cards of it in every box; null: as chance will have it. */
	readonly perBox: number | null;
	/** Key of the group whose place it takes. */
	readonly takesPlaceOf: string | null;
}

/** The part of packs that hold a card of a group by its stated odds. */
export const chanceOf = ({ comes }: PackGroup): number =>
	comes.sort === 'odds' ? comes.cards / comes.packs : 1;

/** The slots of a profile: groups that share none have one each. A guarantee overrules the odds, in their proportions. */
export function slotsOf({ groups, guarantees, packsPerBox }: PackProfile): readonly Slot[] {
	const byName = new Map<string, PackGroup[]>();
	for (const group of groups) {
		if (group.comes.sort === 'count') continue;
		const name = group.slot ?? `only ${group.key}`;
		byName.set(name, [...(byName.get(name) ?? []), group]);
	}
	return [...byName].map(([name, some]): Slot => {
		const perBox = guarantees.find(({ slot }) => slot === name)?.count ?? null;
		return {
			name,
			groups: some,
			chance: perBox === null ? sum(some, chanceOf) : perBox / (packsPerBox ?? 1),
			perBox,
			takesPlaceOf: some[0]?.takesPlaceOf ?? null
		};
	});
}

/** The part of a slot's cards that are of a group: by the odds. */
export function shareOf(group: PackGroup, slot: Slot): number {
	const all = sum(slot.groups, chanceOf);
	return all === 0 ? 0 : chanceOf(group) / all;
}

/** Cards that a pack holds on average in all groups that take nobody's place. */
export function cardsAPack(profile: PackProfile): number {
	const fixed = sum(profile.groups, ({ comes }) => (comes.sort === 'count' ? comes.count : 0));
	return fixed + sum(slotsOf(profile), ({ chance, takesPlaceOf }) => (takesPlaceOf ? 0 : chance));
}

const at = (pointer: string, message: string, remedy: string): Problem => ({
	pointer,
	message,
	remedy
});

/** Everything that cannot be in a profile, each with its place. */
export function checkProfile(profile: PackProfile): readonly Problem[] {
	const { groups, guarantees, packsPerBox, cardsPerPack } = profile;
	const problems: Problem[] = [];
	const keys = groups.map(({ key }) => key);
	for (const [i, { key, classes, comes, slot, takesPlaceOf }] of groups.entries()) {
		const tell = (field: string, message: string, remedy: string) =>
			problems.push(at(`/groups/${i}${field}`, message, remedy));
		if (keys.indexOf(key) !== i) tell('/key', `"${key}" stands twice`, 'Name it otherwise.');
		const different = sum(classes, ({ cards }) => cards);
		if (different === 0) tell('/classes', `"${key}" has no cards`, 'Leave the group out.');
		if (comes.sort === 'count' && comes.isAllDifferent && comes.count > different) {
			const message = `${comes.count} different cards cannot be of ${different}`;
			tell('/comes/count', message, 'Fewer a pack, or not all different.');
		}
		if (comes.sort === 'odds' && comes.cards > comes.packs) {
			const message = `${comes.cards}:${comes.packs} is more than a card a pack`;
			tell('/comes', message, 'Say how many come in each pack, and the odds of the rest.');
		}
		if (comes.sort === 'count' && (slot !== undefined || takesPlaceOf !== undefined)) {
			const message = `"${key}" comes in every pack: it shares no place and takes none`;
			tell('/slot', message, 'State odds, or leave slot and place out.');
		}
		if (takesPlaceOf === undefined) continue;
		const host = groups.find((group) => group.key === takesPlaceOf);
		if (host?.comes.sort !== 'count') {
			const message = `no group "${takesPlaceOf}" comes in every pack`;
			tell('/takesPlaceOf', message, 'Name a group that does.');
		}
	}
	const slots = slotsOf(profile);
	for (const slot of slots) {
		const first = slot.groups[0];
		const i = first ? groups.indexOf(first) : 0;
		const isEachFine = slot.groups.every((group) => chanceOf(group) <= 1);
		if (slot.perBox === null && isEachFine && slot.chance > 1 + 1e-12) {
			const message = `together the odds of one place are more than a card a pack`;
			problems.push(at(`/groups/${i}/comes`, message, 'Rarer odds, or another slot for some.'));
		}
		if (slot.groups.some(({ takesPlaceOf = null }) => takesPlaceOf !== slot.takesPlaceOf)) {
			const message = `groups of the slot "${slot.name}" take different places`;
			problems.push(at(`/groups/${i}/takesPlaceOf`, message, 'Say the same for all of them.'));
		}
	}
	for (const { key, comes } of groups) {
		if (comes.sort !== 'count') continue;
		const takers = slots.filter(({ takesPlaceOf }) => takesPlaceOf === key).length;
		if (takers <= comes.count) continue;
		const message = `${takers} slots take the places of ${comes.count} cards of "${key}"`;
		problems.push(at(`/groups/${keys.indexOf(key)}/comes/count`, message, 'Share a slot.'));
	}
	for (const [i, { slot, count }] of guarantees.entries()) {
		const tell = (field: string, message: string, remedy: string) =>
			problems.push(at(`/guarantees/${i}${field}`, message, remedy));
		if (!slots.some(({ name }) => name === slot)) {
			tell('/slot', `no group has the slot "${slot}"`, 'Name a slot of some group.');
		}
		if (guarantees.findIndex((other) => other.slot === slot) !== i) {
			tell('/slot', `"${slot}" is guaranteed twice`, 'Keep one of the two.');
		}
		if (packsPerBox === null) tell('', 'nobody says how many packs a box has', 'Say it.');
		else if (count > packsPerBox) {
			tell('/count', `${count} a box of ${packsPerBox} packs`, 'At most one a pack.');
		}
	}
	const most = cardsAPack(profile);
	if (cardsPerPack !== null && most > cardsPerPack + 1e-9) {
		const message = `a pack of ${cardsPerPack} would hold ${most.toFixed(2)} on average`;
		problems.push(at('/cardsPerPack', message, 'Let inserts take a place, or say fewer.'));
	}
	return problems;
}
