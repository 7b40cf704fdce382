import { sum } from 'd3-array';
import type { PackClass, Slot } from '../profile/pack-profile.ts';
import { completeInDraws } from './complete-in-draws.ts';

/** The chance that all groups of a slot are complete after 0, 1, … cards in it: one draw of all their cards. */
export function completeOfSlot(slot: Slot, most: number): (count: number) => number {
	const classes = slot.groups.flatMap((group) => {
		const whole = sum(group.classes, ({ cards, weight }) => cards * weight);
		const odds = group.comes.sort === 'odds' ? group.comes.cards / group.comes.packs : 0;
		return group.classes.map((part) => ({
			...part,
			weight: whole === 0 ? 0 : (part.weight * odds) / whole
		}));
	});
	const known = completeInDraws(classes, most);
	const whole = sum(classes, ({ cards, weight }) => cards * weight);
	return (count) => known[count] ?? completeApart(classes, whole, count);
}

/** The same, every card by itself: nearly right where much more than is lacking has come. */
function completeApart(classes: readonly PackClass[], whole: number, count: number): number {
	const complete = sum(classes, ({ cards, weight, lacking }) => {
		if (lacking === 0 || cards === 0) return 0;
		const part = Math.min(1, weight / whole);
		let [each, short] = [Math.exp(count * Math.log1p(-part)), 0];
		for (let k = 0; k < lacking; k++) {
			short += each;
			each *= ((count - k) / (k + 1)) * (part / (1 - part));
		}
		return cards * Math.log1p(-Math.min(1, short));
	});
	return Math.exp(complete);
}
