import type { Slot } from '../profile/pack-profile.ts';
import { binomial, hypergeometric, type Chances } from '../../chance/binomial.ts';

/**
 * How many of so many packs have a slot filled. By chance alone it is binomial; where every box has so many, whole boxes
 * are certain and the packs of a box that is begun hypergeometric.
 *
 * @param packsPerBox null: nobody says, and nothing is guaranteed
 */
export function filledAfter(
	{ chance, perBox }: Pick<Slot, 'chance' | 'perBox'>,
	packs: number,
	packsPerBox: number | null
): Chances {
	if (perBox === null || packsPerBox === null) return binomial(packs, Math.min(1, chance));
	const boxes = Math.floor(packs / packsPerBox);
	const { from, chances } = hypergeometric(packsPerBox, perBox, packs % packsPerBox);
	return { from: from + boxes * perBox, chances };
}

/** The chance that the next pack has it filled, after so many packs with so many filled. */
export function fillsNext(
	{ chance, perBox }: Pick<Slot, 'chance' | 'perBox'>,
	packs: number,
	filled: number,
	packsPerBox: number | null
): number {
	if (perBox === null || packsPerBox === null) return Math.min(1, chance);
	const boxes = Math.floor(packs / packsPerBox);
	const left = perBox - (filled - boxes * perBox);
	return Math.min(1, Math.max(0, left / (packsPerBox - (packs % packsPerBox))));
}

/** A part of some draws: each draw is of it with this chance. */
export function thinned({ from, chances }: Chances, share: number): Chances {
	const partOf = (count: number) => binomial(count, Math.min(1, share));
	// More draws bring more of it: the fewest bound it below, the most above.
	const low = partOf(from).from;
	const most = partOf(from + chances.length - 1);
	const found = new Float64Array(most.from + most.chances.length - low);
	for (let i = 0; i < chances.length; i++) {
		const part = partOf(from + i);
		for (let k = 0; k < part.chances.length; k++) {
			const at = part.from + k - low;
			if (at < 0 || at >= found.length) continue;
			found[at] = (found[at] as number) + (chances[i] as number) * (part.chances[k] as number);
		}
	}
	return { from: low, chances: found };
}
