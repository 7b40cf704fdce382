import { at } from '../at.ts';
/**
 * Chooses pockets for cards that must lie in a given order, where blanks may stand anywhere, so that
 * most cards stay. Kept cards are a longest non-decreasing subsequence of pocket − rank within
 * 0 … pockets − cards: between two kept cards there is then room for those between them, and before
 * the first and behind the last as well. The others follow the card before them closely.
 *
 * @param lies where each card lies, by rank: a pocket from 0, or null where it lies elsewhere
 * @param pockets how many pockets there are, at least as many as cards
 * @returns a pocket for each card, rising
 * @throws RangeError where there are more cards than pockets
 * @example chooseTargets([1, 0, 3], 5) // [1, 2, 3]
 */
export function chooseTargets(
	lies: readonly (number | null)[],
	pockets: number
): readonly number[] {
	const spare = pockets - lies.length;
	if (spare < 0) {
		throw new RangeError(`chooseTargets: ${lies.length} cards for ${pockets} pockets`);
	}
	const kept = new Set(longestNonDecreasing(lies.map((at, rank) => slide(at, rank, spare))));
	let next = 0;
	return lies.map((at, rank) => {
		const target = kept.has(rank) && at !== null ? at : next;
		next = target + 1;
		return target;
	});
}

/** How far a card lies behind its closest place; null where it cannot stay there. */
function slide(at: number | null, rank: number, spare: number): number | null {
	if (at === null) return null;
	const by = at - rank;
	return by >= 0 && by <= spare ? by : null;
}

/** Places of a longest non-decreasing subsequence, by patience sorting (n log n); nulls take no part. */
function longestNonDecreasing(values: readonly (number | null)[]): readonly number[] {
	/** For each length, the place of the smallest value that ends a subsequence of it. */
	const ends: number[] = [];
	const before: (number | undefined)[] = [];
	values.forEach((value, i) => {
		if (value === null) return;
		let low = 0;
		let high = ends.length;
		while (low < high) {
			const middle = (low + high) >> 1;
			if ((at(values, at(ends, middle)) ?? 0) <= value) low = middle + 1;
			else high = middle;
		}
		before[i] = ends[low - 1];
		ends[low] = i;
	});
	const places: number[] = [];
	for (let at = ends.at(-1); at !== undefined; at = before[at]) places.push(at);
	return places.reverse();
}
