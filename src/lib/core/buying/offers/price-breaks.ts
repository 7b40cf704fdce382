/** So many cards for so much: one for 0.40, five for 1.50. Money in minor units. */
export interface PriceBreak {
	readonly count: number;
	readonly minor: number;
}

/** What n cards cost when they are bought in the cheapest lots, and how many cards come: [0] is nothing. */
export interface BreakCosts {
	readonly minor: readonly number[];
	readonly pieces: readonly number[];
}

/**
 * The cheapest way to get at least 0, 1, … `most` cards of an offer that has `quantity` of them, by its lots; of
 * equally cheap ways the one with fewer cards. It may be cheaper to take five than four: then five come. Past
 * what can be had it ends. Exact, by dynamic programme.
 *
 * @throws RangeError for a lot of no cards, or below nothing
 * @example priceByBreaks([{ count: 1, minor: 40 }, { count: 5, minor: 150 }], 9, 5) // { minor: [0, 40, 80, 120, 150, 150], pieces: [0, 1, 2, 3, 5, 5] }
 */
export function priceByBreaks(
	breaks: readonly PriceBreak[],
	quantity: number,
	most: number
): BreakCosts {
	for (const { count, minor } of breaks) {
		if (!Number.isInteger(count) || count < 1 || !(minor >= 0)) {
			throw new RangeError(`priceByBreaks: ${count} for ${minor} is no lot`);
		}
	}
	const [only] = breaks;
	const longest = breaks.reduce((longest, { count }) => Math.max(longest, count), 0);
	if (only?.count === 1 && breaks.length === 1) {
		const counts = Array.from({ length: Math.min(most, quantity) + 1 }, (_, n) => n);
		return { minor: counts.map((n) => n * only.minor), pieces: counts };
	}
	// What exactly so many pieces cost.
	const reach = Math.min(quantity, most + longest);
	const exact = Array<number>(reach + 1).fill(Infinity);
	exact[0] = 0;
	for (let n = 1; n <= reach; n++) {
		for (const { count, minor } of breaks) {
			if (count <= n)
				exact[n] = Math.min(exact[n] ?? Infinity, (exact[n - count] ?? Infinity) + minor);
		}
	}
	// Whoever wants n may take more: from the far end on.
	const minor: number[] = [];
	const pieces: number[] = [];
	let [best, many] = [Infinity, 0];
	for (let n = reach; n >= 0; n--) {
		const cost = exact[n] ?? Infinity;
		if (cost <= best) [best, many] = [cost, n];
		if (n <= most && best < Infinity) {
			minor[n] = best;
			pieces[n] = many;
		}
	}
	return { minor, pieces };
}
