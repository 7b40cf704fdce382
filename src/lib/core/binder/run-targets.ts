import { chooseTargets } from './choose-targets.ts';
import type { Lying } from './plan-moves.ts';

/** A section in which blanks may stand anywhere. */
export interface FreeRun {
	/** Its pockets in order. */
	readonly pockets: readonly string[];
	/** The cards that are to lie in them, in order. */
	readonly items: readonly string[];
}

/**
 * Where the cards of a section are to lie so that most of them stay.
 *
 * @throws RangeError where there are more cards than pockets
 */
export function runTargets({ pockets, items }: FreeRun, now: readonly Lying[]): readonly Lying[] {
	const places = new Map(pockets.map((pocket, i) => [pocket, i]));
	const lies = new Map(now.map(({ item, pocket }) => [item, places.get(pocket)]));
	const targets = chooseTargets(
		items.map((item) => lies.get(item) ?? null),
		pockets.length
	);
	return items.map((item, rank) => ({ item, pocket: pockets[targets[rank] ?? 0] ?? '' }));
}
