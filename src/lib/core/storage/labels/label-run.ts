import { compareFiled, type Titled } from '../../checklist/filed-title.ts';
import { sortByCardNumber } from '../../checklist/numbers/compare-card-numbers.ts';
import type { LabelledSet } from './label-text.ts';

/** A card of a run, and where its copies in that finish are. */
export interface RunCard extends Titled {
	readonly number: string | null;
	/** Name of the place of each copy, those without one (empty) last. Any variant counts. */
	readonly places: readonly string[];
	/** Whether one of them is in the labelled box. */
	readonly isHere: boolean;
}

/**
 * What the label of a box says of a run in it: how many of its numbers there are, which are nowhere, and
 * which are kept elsewhere. Of a second set a number is there from the second copy on.
 *
 * @param name of the run with its release
 * @param set its number, from 1; 0: doubles, which have nothing to be complete of
 */
export function labelRun(name: string, cards: readonly RunCard[], set: number): LabelledSet {
	const ordered = sortByCardNumber(cards, ({ number }) => number, compareFiled);
	const missing: string[] = [];
	const elsewhere = new Map<string, string[]>();
	for (const { number, title, places, isHere } of set > 0 ? ordered : []) {
		const called = number ?? title;
		if (places.length < set) missing.push(called);
		else if (!isHere) {
			// The first sets have the first copies.
			const place = places[set - 1] || 'no place yet';
			elsewhere.set(place, [...(elsewhere.get(place) ?? []), called]);
		}
	}
	const total = set > 0 ? cards.length : null;
	return {
		name,
		have: cards.length - missing.length,
		total,
		missing,
		elsewhere: [...elsewhere].map(([place, numbers]) => ({ place, numbers }))
	};
}
