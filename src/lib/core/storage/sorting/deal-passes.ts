/** The piles of a pass, each with the numbers that go on it, in order. */
export type Pass = readonly (readonly string[])[];

/**
 * What goes on each pile of each pass, so that after the last one everything is in order: piles are
 * gathered in their order, the first pile's cards first, and dealt again. The last pass deals even runs of
 * the set's own numbers; the passes before it deal the places within those runs. Gaps in the numbering
 * make no empty pile, for places are those of the numbers there are.
 *
 * @param numbers in order; @param piles of each pass, the first dealt first
 * @throws RangeError where the piles do not tell all numbers apart
 */
export function dealPasses(numbers: readonly string[], piles: readonly number[]): readonly Pass[] {
	if (piles.length === 0) return [];
	const product = piles.reduce((all, count) => all * count, 1);
	if (product < numbers.length) {
		throw new RangeError(`dealPasses: ${piles.join(' × ')} piles for ${numbers.length} numbers`);
	}
	const last = piles.length - 1;
	/** The digits of a place, of the first pass first: mixed radix, runs as even as they can be. */
	const digits = numbers.map((_, place) => digitsOf(place, numbers.length, piles, last));
	return piles.map((count, pass) => {
		const dealt: string[][] = Array.from({ length: count }, () => []);
		numbers.forEach((number, place) => dealt[digits[place]?.[pass] ?? 0]?.push(number));
		return dealt.filter((pile) => pile.length > 0);
	});
}

/** Which pile of each pass a place goes on: the last pass halves the whole, the one before each part. */
function digitsOf(
	place: number,
	count: number,
	piles: readonly number[],
	pass: number
): readonly number[] {
	if (pass < 0) return [];
	const shares = Math.min(piles[pass] ?? 1, count);
	const share = Math.min(shares - 1, Math.floor(((place + 0.5) * shares) / count));
	// The first place of a share: places are dealt to shares by their middle.
	const begin = Math.ceil((share * count) / shares - 0.5);
	const end = Math.ceil(((share + 1) * count) / shares - 0.5);
	return [...digitsOf(place - begin, end - begin, piles, pass - 1), share];
}

/**
 * A pile by its numbers: "1–20", or, where they lie apart, the first ones and the last.
 *
 * @param placeOf where a number stands among all; left out: it is looked for
 */
export function namePile(
	pile: readonly string[],
	numbers: readonly string[],
	placeOf: (number: string) => number = (number) => numbers.indexOf(number)
): string {
	const [first = '', second, third] = pile;
	const last = pile.at(-1) ?? '';
	if (pile.length === 1) return first;
	const from = placeOf(first);
	const isRun = numbers[from + pile.length - 1] === last;
	if (isRun) return `${first}–${last}`;
	if (pile.length <= 3) return pile.join(', ');
	return `${[first, second, third].join(', ')} … ${last}`;
}
