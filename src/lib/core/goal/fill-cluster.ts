import { at } from '../at.ts';
import { assign, type Fit } from './assign.ts';
import { conditionRank, qualityRank } from '../copies/condition.ts';
import { versionsOfCopy, type Copy } from '../copies/copy.ts';
import type { GradeNeed, Slot } from './slot.ts';

/** So many units of a copy in a slot, both by their places in the lists. */
export type Given = readonly [slot: number, copy: number, units: number];

/** Slots that differ in nothing but their names. */
interface SlotClass {
	readonly slot: Slot;
	readonly members: number[];
	readonly rank: number;
}

/** Copies that are worth the same to every slot here. */
interface CopyClass {
	readonly copy: Copy;
	readonly members: number[];
	readonly rank: number;
	/** Of an intact panel: the single it counts for here; otherwise ''. */
	readonly countsFor: string;
	/** Of classes of equal version and quality, how many were given before. */
	readonly turn: number;
}

/**
 * Fills slots that have to do with each other: most units; then, tier by tier, the best copies and then
 * the most of them; then what lies in a slot already stays, preferred versions, copies given first.
 * Equal slots and equal copies are one node each of the assignment, so that a thousand sets of one card
 * take no longer than three. Exact.
 *
 * @param slotsHere places of the slots in `slots`; @param copiesHere places of the copies in `copies`
 */
export function fillCluster(
	slotsHere: readonly number[],
	copiesHere: readonly number[],
	slots: readonly Slot[],
	copies: readonly Copy[]
): readonly Given[] {
	const slotClasses = classesOfSlots(slotsHere, copiesHere, slots, copies);
	const byVersion = new Map<string, number[]>();
	slotClasses.forEach(({ slot }, s) => {
		for (const version of slot.versions) push(byVersion, version, s);
	});
	const copyClasses = classesOfCopies(copiesHere, copies, slotClasses, byVersion);
	const tiers = [...new Set(slotClasses.map(({ slot }) => slot.tier ?? 0))].sort((a, b) => a - b);
	const classOfSlot = new Map(
		slotClasses.flatMap(({ members }, s) =>
			members.map((slot) => [at(slots, slot).key, s] as const)
		)
	);
	const fits: (Fit & { readonly isHeld: boolean })[] = [];
	copyClasses.forEach(({ copy, members, rank, countsFor, turn }, supply) => {
		const held = new Map<number, number>();
		for (const member of members) {
			const s = classOfSlot.get(copies[member]?.heldIn ?? '');
			if (s !== undefined) held.set(s, (held.get(s) ?? 0) + heldUnits(member));
		}
		for (const demand of demandsOf(copy)) {
			const { slot, rank: least } = slotClasses[demand] as SlotClass;
			if (rank < least || !hasNeeds(slot, copy) || countsForOf(slot, copy) !== countsFor) continue;
			const costOf = (stays: number) => [
				...tiers.flatMap((tier) => (tier === (slot.tier ?? 0) ? [-rank, -1] : [0, 0])),
				-stays,
				preferenceOf(slot, copy),
				turn
			];
			const most = held.get(demand) ?? 0;
			if (most > 0) fits.push({ supply, demand, cost: costOf(1), most, isHeld: true });
			fits.push({ supply, demand, cost: costOf(0), isHeld: false });
		}
	});
	const unitsOf = (members: readonly number[], of: readonly { readonly quantity: number }[]) =>
		members.reduce((sum, i) => sum + at(of, i).quantity, 0);
	const flow = assign(
		copyClasses.map(({ members }) => unitsOf(members, copies)),
		slotClasses.map(({ members }) => unitsOf(members, slots)),
		fits
	);
	return deal();

	/** The classes of slots that take one of a copy's versions. */
	function demandsOf(copy: Copy): Iterable<number> {
		if (!copy.alsoVersions?.length) return byVersion.get(copy.version) ?? [];
		return new Set(versionsOfCopy(copy).flatMap((version) => byVersion.get(version) ?? []));
	}

	/** How many units of a copy its slot could keep. */
	function heldUnits(member: number): number {
		const copy = copies[member] as Copy;
		const s = classOfSlot.get(copy.heldIn ?? '');
		const slot = (slotClasses[s ?? -1]?.members ?? []).find((i) => slots[i]?.key === copy.heldIn);
		return Math.min(copy.quantity, slots[slot ?? -1]?.quantity ?? 0);
	}

	/** Gives the units of classes to their members: what stays first, the others in their order. */
	function deal(): readonly Given[] {
		const open = new Map(slotsHere.map((s) => [s, at(slots, s).quantity]));
		const left = copyClasses.map(
			({ members }) => new Map(members.map((c) => [c, at(copies, c).quantity]))
		);
		const given: Given[] = [];
		const give = (slot: number, copy: number, of: Map<number, number>, most: number): number => {
			const units = Math.min(most, open.get(slot) ?? 0, of.get(copy) ?? 0);
			if (units <= 0) return 0;
			open.set(slot, (open.get(slot) ?? 0) - units);
			of.set(copy, (of.get(copy) ?? 0) - units);
			given.push([slot, copy, units]);
			return units;
		};
		fits.forEach(({ supply, demand, isHeld }, f) => {
			if (!isHeld) return;
			const of = left[supply] as Map<number, number>;
			const members = slotClasses[demand]?.members ?? [];
			const named = new Map(members.map((s) => [at(slots, s).key, s]));
			let units = at(flow, f);
			for (const copy of copyClasses[supply]?.members ?? []) {
				const slot = named.get(copies[copy]?.heldIn ?? '');
				if (slot !== undefined) units -= give(slot, copy, of, units);
			}
		});
		const nextSlot = slotClasses.map(() => 0);
		const nextCopy = copyClasses.map(() => 0);
		fits.forEach(({ supply, demand, isHeld }, f) => {
			if (isHeld) return;
			const of = left[supply] as Map<number, number>;
			const slotMembers = slotClasses[demand]?.members ?? [];
			const copyMembers = copyClasses[supply]?.members ?? [];
			for (let units = at(flow, f); units > 0;) {
				const slot = slotMembers[at(nextSlot, demand)];
				const copy = copyMembers[at(nextCopy, supply)];
				if (slot === undefined || copy === undefined) {
					throw new RangeError('fillCluster: units without a slot or a copy');
				}
				units -= give(slot, copy, of, units);
				if ((open.get(slot) ?? 0) === 0) nextSlot[demand] = (nextSlot[demand] ?? 0) + 1;
				else if ((of.get(copy) ?? 0) === 0) nextCopy[supply] = (nextCopy[supply] ?? 0) + 1;
			}
		});
		return given;
	}
}

/** Whether a copy has all that a slot asks of it beside its version and condition. */
export function hasNeeds({ needs = [], graded }: Slot, copy: Copy): boolean {
	const { attributes = [] } = copy;
	return needs.every((need) => attributes.includes(need)) && (!graded || isGradedSo(graded, copy));
}

function isGradedSo({ least, houses }: GradeNeed, { grade, isAuthentic, house }: Copy): boolean {
	if (grade === undefined && !isAuthentic) return false;
	if (least !== undefined && (grade ?? 0) < least) return false;
	return houses === undefined || houses.includes(house ?? '');
}

/** The place of a copy's version among those that a slot prefers, from 0; of several the best. */
export function preferenceOf({ versions }: Slot, copy: Copy): number {
	if (!copy.alsoVersions?.length) return versions.indexOf(copy.version);
	const places = versionsOfCopy(copy)
		.map((version) => versions.indexOf(version))
		.filter((place) => place >= 0);
	return Math.min(versions.length, ...places);
}

/** The single that an intact panel counts for in a slot; '' where it is no panel there. */
export function countsForOf(
	{ panels = [], versions: [single = ''] }: Slot,
	{ version }: Copy
): string {
	return panels.includes(version) ? single : '';
}

function classesOfSlots(
	slotsHere: readonly number[],
	copiesHere: readonly number[],
	slots: readonly Slot[],
	copies: readonly Copy[]
): readonly SlotClass[] {
	const heldIn = new Map<string, number>();
	for (const c of copiesHere) {
		const { heldIn: slot, quantity } = copies[c] as Copy;
		if (slot !== undefined) heldIn.set(slot, (heldIn.get(slot) ?? 0) + quantity);
	}
	const classes = new Map<string, SlotClass>();
	for (const s of slotsHere) {
		const slot = slots[s] as Slot;
		const {
			key,
			versions,
			leastCondition,
			needs = [],
			graded,
			tier = 0,
			panels = [],
			quantity
		} = slot;
		// More lies in it than it takes: only one of them can stay.
		const isCrowded = (heldIn.get(key) ?? 0) > quantity;
		const name = JSON.stringify([
			versions,
			leastCondition ?? '',
			needs,
			graded ?? null,
			tier,
			panels,
			isCrowded ? key : ''
		]);
		const known = classes.get(name);
		if (known) known.members.push(s);
		else classes.set(name, { slot, members: [s], rank: conditionRank(leastCondition) });
	}
	return [...classes.values()];
}

function classesOfCopies(
	copiesHere: readonly number[],
	copies: readonly Copy[],
	slotClasses: readonly SlotClass[],
	byVersion: ReadonlyMap<string, readonly number[]>
): readonly CopyClass[] {
	const needed = new Set(slotClasses.flatMap(({ slot }) => slot.needs ?? []));
	const isGradeAsked = slotClasses.some(({ slot }) => slot.graded);
	const classes = new Map<string, CopyClass>();
	const turns = new Map<string, number>();
	for (const c of copiesHere) {
		const copy = copies[c] as Copy;
		const rank = qualityRank(copy);
		const marks = (copy.attributes ?? []).filter((word) => needed.has(word)).sort();
		const singles = new Set(
			versionsOfCopy(copy).flatMap((version) =>
				(byVersion.get(version) ?? []).map((s) => countsForOf(slotClasses[s]?.slot as Slot, copy))
			)
		);
		for (const countsFor of singles) {
			const equal = JSON.stringify([copy.version, rank, countsFor, copy.alsoVersions]);
			const graded = isGradeAsked ? [copy.grade, copy.isAuthentic, copy.house] : [];
			const name = JSON.stringify(isGradeAsked ? [equal, marks, graded] : [equal, marks]);
			const known = classes.get(name);
			if (known) known.members.push(c);
			else {
				const turn = turns.get(equal) ?? 0;
				turns.set(equal, turn + 1);
				classes.set(name, { copy, members: [c], rank, countsFor, turn });
			}
		}
	}
	return [...classes.values()];
}

function push<Key, Value>(map: Map<Key, Value[]>, key: Key, value: Value): void {
	const list = map.get(key);
	if (list) list.push(value);
	else map.set(key, [value]);
}
