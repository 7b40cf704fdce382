import { DOUBLES } from './run.ts';
import type { CopyId } from '../../row-id.ts';

/** Cards of a copy that have no place; of equal cards the best goes to the first set. */
export interface LooseCopy {
	readonly copyId: CopyId;
	/** Key of its version: only equal cards stand for each other in a set. */
	readonly version: string;
	readonly quantity: number;
	/** How good it is (`qualityRank`). */
	readonly rank: number;
}

/** So many of them belong to this set. */
export interface DealtCopy {
	readonly copyId: CopyId;
	readonly quantity: number;
	/** From 1; `DOUBLES`: no set needs it. */
	readonly set: number;
}

/**
 * Deals cards without a place to the sets that are built: each version once to each set, beginning with the
 * first that has none yet; what is left are doubles. Of equal cards the best goes first, of equally good
 * ones the oldest.
 *
 * @param standing how many of a version have a place already
 * @param sets how many sets of the release are built, at least 1
 * @example three copies of one card, one set: one to set 1, two doubles
 */
export function dealSets(
	copies: readonly LooseCopy[],
	standing: ReadonlyMap<string, number>,
	sets: number
): readonly DealtCopy[] {
	// What stands may be far more than what is dealt: it is looked up, not copied.
	const taken = new Map<string, number>();
	return [...copies]
		.sort((a, b) => b.rank - a.rank || a.copyId - b.copyId)
		.flatMap(({ copyId, version, quantity }) => {
			const before = taken.get(version) ?? standing.get(version) ?? 0;
			taken.set(version, before + quantity);
			return setsOfRest(before, quantity, sets).map((part) => ({ copyId, ...part }));
		});
}

/** To which sets further cards of a version go, where `standing` of them have a place. */
function setsOfRest(
	standing: number,
	quantity: number,
	sets: number
): readonly { readonly set: number; readonly quantity: number }[] {
	const inSets = Math.max(0, Math.min(quantity, sets - standing));
	const single = Array.from({ length: inSets }, (_, i) => ({ set: standing + 1 + i, quantity: 1 }));
	const doubles = quantity - inSets;
	return doubles > 0 ? [...single, { set: DOUBLES, quantity: doubles }] : single;
}
