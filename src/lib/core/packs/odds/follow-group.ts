import { sum } from 'd3-array';
import type { PackProfile, Slot } from '../profile/pack-profile.ts';
import type { Chances } from '../../chance/binomial.ts';
import { completeInDraws } from './complete-in-draws.ts';
import { completeOfSlot } from './complete-of-slot.ts';
import { cardsOf, copiesAfter, copiesOfCard, lackingOf, type GroupLaw } from './group-law.ts';
import { expectedPacks, followMissing, stepsOf } from './missing-chain.ts';
import { filledAfter, fillsNext } from './slot-law.ts';

/** A group at some numbers of packs. */
export interface Followed {
	/** Lacking copies that are missing still, on average. */
	readonly missing: Float64Array;
	/** The chance that none is. */
	readonly complete: Float64Array;
	/** Whether that is exact; else several different cards a pack were reckoned as drawn singly. */
	readonly isExact: boolean;
}

/** Steps that following a group and the slot that takes its place together may take. */
const MOST_STEPS = 1.2e9;
/** Cards drawn singly, up to which several copies or different weights are followed. */
export const MOST_DRAWS = 6000;
/** Up to so many packs odds are followed pack by pack, and not over how many cards come. */
const PACK_BY_PACK = 10_000;
/** A chance that is nothing beside rounding. */
const NOTHING = 1e-20;
/** So much of a group is complete: all of it. */
const WHOLE = 1 - 1e-15;

/** Follows a group to each of these numbers of packs, which rise. */
export function followGroup(
	profile: PackProfile,
	law: GroupLaw,
	packs: readonly number[]
): Followed {
	const most = packs.at(-1) ?? 0;
	const missing = new Float64Array(packs.length);
	const complete = new Float64Array(packs.length);
	if (lackingOf(law) === 0) return { missing, complete: complete.fill(1), isExact: true };
	const { slot, takers } = law;
	if (law.isEven && slot && (slot.perBox !== null || most > PACK_BY_PACK)) {
		// In its slot cards come singly: their course, over how many come.
		const last = lastOf(copiesAfter(law, most, profile.packsPerBox));
		const course = followMissing(cardsOf(law), lackingOf(law), SINGLY, last);
		for (const [i, m] of packs.entries()) {
			const count = copiesAfter(law, m, profile.packsPerBox);
			missing[i] = over(count, course.missing, 0);
			complete[i] = over(count, course.complete, 1);
		}
		return { missing, complete, isExact: true };
	}
	const isByBox = takers.some(({ perBox }) => perBox !== null);
	if (law.isEven && !isByBox) {
		const course = followMissing(cardsOf(law), lackingOf(law), law.draws, most);
		for (const [i, m] of packs.entries()) {
			missing[i] = course.missing[m] ?? 0;
			complete[i] = course.complete[m] ?? 1;
		}
		return { missing, complete, isExact: true };
	}
	const taker = takers.length === 1 ? takers[0] : undefined;
	const followed = taker && followWithTaker(profile, law, taker, packs, null);
	if (followed) return { ...followed, isExact: true };
	const { comes, classes } = law.group;
	const last = lastOf(copiesAfter(law, most, profile.packsPerBox));
	const inDraws = completeInDraws(classes, Math.min(MOST_DRAWS, last));
	const isWithin = (count: Chances) => lastOf(count) < inDraws.length;
	for (const [i, m] of packs.entries()) {
		missing[i] = missingCopies(profile, law, m);
		const count = copiesAfter(law, m, profile.packsPerBox);
		complete[i] = isWithin(count) ? over(count, inDraws, 1) : completeByCard(profile, law, m);
	}
	const isSingly = comes.sort === 'odds' || comes.count === 1 || !comes.isAllDifferent;
	return { missing, complete, isExact: isSingly && last <= MOST_DRAWS };
}

const SINGLY = [{ count: 1, chance: 1 }];

const lastOf = ({ from, chances }: Chances) => from + chances.length - 1;

/** The mean of a course over chances of how far it is; beyond its end it is `end`. */
function over(at: Chances, course: ArrayLike<number>, end: number): number {
	let all = 0;
	for (let k = 0; k < at.chances.length; k++) {
		const place = at.from + k;
		all += (at.chances[k] as number) * (place < course.length ? (course[place] as number) : end);
	}
	return all;
}

/** Lacking copies that have not come, on average. */
function missingCopies(profile: PackProfile, law: GroupLaw, packs: number): number {
	return sum(law.group.classes, ({ cards, weight, lacking }) => {
		if (lacking === 0) return 0;
		const { from, chances } = copiesOfCard(law, weight, packs, profile.packsPerBox);
		let short = 0;
		for (let k = 0; k < chances.length && from + k < lacking; k++) {
			short += (chances[k] as number) * (lacking - from - k);
		}
		return cards * short;
	});
}

/** The chance that nothing is missing, every card by itself: nearly right where much more than is lacking has come. */
function completeByCard(profile: PackProfile, law: GroupLaw, packs: number): number {
	const complete = sum(law.group.classes, ({ cards, weight, lacking }) => {
		if (lacking === 0 || cards === 0) return 0;
		const { from, chances } = copiesOfCard(law, weight, packs, profile.packsPerBox);
		let short = 0;
		for (let k = 0; k < chances.length && from + k < lacking; k++) short += chances[k] as number;
		return cards * Math.log1p(-short);
	});
	return Math.exp(complete);
}

/** All groups together, at some numbers of packs: what shares no place in the pack is independent. */
export function followGoal(
	profile: PackProfile,
	laws: readonly GroupLaw[],
	slots: readonly Slot[],
	followed: readonly Followed[],
	packs: readonly number[]
): { readonly chances: Float64Array; readonly isExact: boolean } {
	const chances = new Float64Array(packs.length).fill(1);
	const times = (other: ArrayLike<number>) => {
		for (let i = 0; i < packs.length; i++) chances[i] = (chances[i] as number) * (other[i] ?? 0);
	};
	let isExact = true;
	const done = new Set<Slot>();
	for (const [i, law] of laws.entries()) {
		if (law.slot || lackingOf(law) === 0) continue;
		const [taker] = law.takers;
		const isTied = law.takers.some(isLacking);
		const joint =
			taker && isTied && law.takers.length === 1
				? followWithTaker(profile, law, taker, packs, slotCourse(taker))
				: null;
		if (joint && taker) done.add(taker);
		times((joint ?? followed[i])?.complete ?? []);
		if (isTied && !joint) isExact = false;
		if (!joint && !followed[i]?.isExact) isExact = false;
	}
	for (const slot of slots) {
		if (done.has(slot) || !isLacking(slot)) continue;
		const [only] = slot.groups;
		const place = laws.findIndex(({ group }) => group === only);
		if (slot.groups.length === 1) {
			times(followed[place]?.complete ?? []);
			if (!followed[place]?.isExact) isExact = false;
		} else {
			const course = slotCourse(slot);
			times(
				packs.map((m) => {
					const { from, chances: filled } = filledAfter(slot, m, profile.packsPerBox);
					return sum(filled, (chance, k) => chance * course(from + k));
				})
			);
		}
	}
	return { chances, isExact };

	/** The chance that all of a slot is complete, by the cards in it. */
	function slotCourse(slot: Slot): (count: number) => number {
		const draws = lastOf(filledAfter(slot, packs.at(-1) ?? 0, profile.packsPerBox));
		if (draws > MOST_DRAWS) isExact = false;
		return completeOfSlot(slot, Math.min(MOST_DRAWS, draws));
	}
}

const isLacking = ({ groups }: Slot) =>
	groups.some(({ classes }) => classes.some(({ cards, lacking }) => cards > 0 && lacking > 0));

/**
 * Follows a group together with the slot that takes its place, for what comes in the slot is a card less of the group: cards
 * missing of the group, and packs with the slot filled. Null where it would take too long, or its cards are not even.
 *
 * @param ofSlot the chance that the slot's own cards are complete after so many; null: the group alone is asked for
 */
function followWithTaker(
	profile: PackProfile,
	law: GroupLaw,
	slot: Slot,
	packs: readonly number[],
	ofSlot: ((count: number) => number) | null
): Pick<Followed, 'missing' | 'complete'> | null {
	const { comes } = law.group;
	if (comes.sort !== 'count' || !law.isEven) return null;
	const lacking = lackingOf(law);
	const ofOthers = (count: number) => (ofSlot === null ? 1 : ofSlot(count));
	// Longer than twice what it takes alone it is not open; what is left then is nothing.
	const alone = expectedPacks(cardsOf(law), lacking, law.draws);
	const far = Math.min(packs.at(-1) ?? 0, Math.ceil(2 * alone));
	const width = filledAfter(slot, far, profile.packsPerBox).chances.length;
	if (far * width * (lacking + 1) * (comes.count + 1) > MOST_STEPS) return null;
	const steps = [comes.count, comes.count - 1].map((count) =>
		stepsOf(cardsOf(law), lacking, [{ count, chance: 1 }])
	);
	const missing = new Float64Array(packs.length);
	const complete = new Float64Array(packs.length);
	/** By packs with the slot filled, from `low` on: the chance of each number missing. */
	let low = 0;
	let rows = [new Float64Array(lacking + 1)];
	(rows[0] as Float64Array)[lacking] = 1;
	for (let [m, i] = [0, 0]; ; m++) {
		let done = 0;
		for (const row of rows) done += row[0] as number;
		for (; packs[i] === m || (i < packs.length && done > WHOLE); i++) {
			if (done > WHOLE) {
				// It is complete: what is left is the slot.
				const at = filledAfter(slot, packs[i] as number, profile.packsPerBox);
				complete[i] = sum(at.chances, (chance, k) => chance * ofOthers(at.from + k));
				continue;
			}
			for (const [k, row] of rows.entries()) {
				complete[i] = (complete[i] as number) + (row[0] as number) * ofOthers(low + k);
				for (let j = 1; j <= lacking; j++) {
					missing[i] = (missing[i] as number) + j * (row[j] as number);
				}
			}
		}
		if (i === packs.length) return { missing, complete };
		const next = Array.from({ length: rows.length + 1 }, () => new Float64Array(lacking + 1));
		for (const [k, row] of rows.entries()) {
			const fills = fillsNext(slot, m, low + k, profile.packsPerBox);
			for (const [taken, chance] of [1 - fills, fills].entries()) {
				const step = steps[taken];
				const target = next[k + taken];
				if (step && target && chance > 0) spread(row, chance, step, target);
			}
		}
		while (next.length > 1 && sum(next[0] ?? [1]) < NOTHING) {
			next.shift();
			low++;
		}
		while (next.length > 1 && sum(next.at(-1) ?? [1]) < NOTHING) next.pop();
		rows = next;
	}
}

/** One pack more: from each number missing to those that are left. */
function spread(
	row: Float64Array,
	chance: number,
	steps: readonly Float64Array[],
	target: Float64Array
): void {
	for (let j = 0; j < row.length; j++) {
		const weight = (row[j] as number) * chance;
		if (weight < NOTHING * 1e-20) continue;
		const step = steps[j] as Float64Array;
		for (let h = 0; h < step.length; h++) {
			target[j - h] = (target[j - h] as number) + weight * (step[h] as number);
		}
	}
}
