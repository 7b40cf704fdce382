import { min, rollup, sum } from 'd3-array';
import { versionsOfCopy, type Copy } from '../copies/copy.ts';
import { fillSlots, fitsSlot } from './fill-slots.ts';
import type { Slot } from './slot.ts';

/** How many whole sets copies make, and what the next one lacks. */
export interface WholeSets {
	readonly sets: number;
	/** Slots of the next set for which there is no copy any more, with how many they lack. */
	readonly lacking: readonly { readonly slot: string; readonly quantity: number }[];
}

/**
 * Counts the whole sets that copies make: the most times that all slots of one set can be filled, no copy
 * twice. The next set lacks as few as can be. No slots make no set.
 *
 * @param slots those of one set
 * @throws RangeError where a slot or copy key stands twice or a quantity is no whole number ≥ 1
 * @example two copies of 1 and three of 2: two sets; the third lacks 1
 */
export function wholeSets(slots: readonly Slot[], copies: readonly Copy[]): WholeSets {
	const fill = (sets: number) =>
		fillSlots(
			slots.map((slot) => ({ ...slot, tier: 0, quantity: slot.quantity * sets })),
			copies
		).missing;
	if (slots.length === 0) return { sets: 0, lacking: [] };
	// Where so many sets are whole, fewer are: the most is found by halving.
	let whole = 0;
	let tooMany = mostSets(slots, copies) + 1;
	while (tooMany - whole > 1) {
		const middle = Math.floor((whole + tooMany) / 2);
		if (fill(middle).length === 0) whole = middle;
		else tooMany = middle;
	}
	return { sets: whole, lacking: fill(whole + 1) };
}

/** No more sets than the scarcest slot has copies for, each slot for itself. */
function mostSets(slots: readonly Slot[], copies: readonly Copy[]): number {
	// A copy that shows several deviations stands under each of its versions.
	const byVersion = rollup(
		copies.flatMap((copy) => versionsOfCopy(copy).map((version) => ({ version, copy }))),
		(same) => same.map(({ copy }) => copy),
		({ version }) => version
	);
	const cover = (slot: Slot) =>
		sum(new Set(slot.versions.flatMap((version) => byVersion.get(version) ?? [])), (copy) =>
			fitsSlot(slot, copy) ? copy.quantity : 0
		);
	return Math.floor(min(slots, (slot) => cover(slot) / slot.quantity) ?? 0);
}
