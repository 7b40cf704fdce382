/** Chances of `from`, `from` + 1, …; of all others together less than rounding. */
export interface Chances {
	readonly from: number;
	readonly chances: Float64Array;
}

/** What is left out at the ends, beside the likeliest: far below rounding. */
const LEAST = 1e-19;

/**
 * Chances of how many of n independent tries succeed, each with chance p. By the ratio of neighbours from the likeliest
 * on, so that nothing overflows and no tail is cut above rounding; then they are made to sum to 1.
 *
 * @throws RangeError for a number of tries that is no count, or a chance that is none
 * @example binomial(2, 0.5) // { from: 0, chances: new Float64Array([0.25, 0.5, 0.25]) }
 */
export function binomial(n: number, p: number): Chances {
	if (!Number.isInteger(n) || n < 0 || !(p >= 0 && p <= 1)) {
		throw new RangeError(`binomial: ${n} tries with chance ${p}`);
	}
	if (n === 0 || p === 0) return { from: 0, chances: Float64Array.of(1) };
	if (p === 1) return { from: n, chances: Float64Array.of(1) };
	const mode = Math.min(n, Math.floor((n + 1) * p));
	const odds = p / (1 - p);
	return spread(
		mode,
		(k) => (k < n ? ((n - k) / (k + 1)) * odds : 0),
		(k) => (k > 0 ? k / (n - k + 1) / odds : 0)
	);
}

/**
 * Chances of how many marked things are among k drawn without putting back, of n of which so many are marked.
 *
 * @throws RangeError where more are marked or drawn than there are
 * @example hypergeometric(4, 2, 1) // { from: 0, chances: new Float64Array([0.5, 0.5]) }
 */
export function hypergeometric(n: number, marked: number, k: number): Chances {
	const isCount = [n, marked, k].every((count) => Number.isInteger(count) && count >= 0);
	if (!isCount || marked > n || k > n) {
		throw new RangeError(`hypergeometric: ${k} of ${n}, ${marked} marked`);
	}
	const [low, high] = [Math.max(0, k - (n - marked)), Math.min(k, marked)];
	const mode = Math.min(high, Math.max(low, Math.floor(((k + 1) * (marked + 1)) / (n + 2))));
	return spread(
		mode,
		(h) => (h < high ? ((marked - h) * (k - h)) / ((h + 1) * (n - marked - k + h + 1)) : 0),
		(h) => (h > low ? (h * (n - marked - k + h)) / ((marked - h + 1) * (k - h + 1)) : 0)
	);
}

/** Goes up and down from the likeliest by ratios, until what is left is below rounding. */
function spread(mode: number, up: (k: number) => number, down: (k: number) => number): Chances {
	let [above, below] = [0, 0];
	for (let k = mode, each = 1; (each *= up(k)) > LEAST; k++) above++;
	for (let k = mode, each = 1; (each *= down(k)) > LEAST; k--) below++;
	const chances = new Float64Array(below + above + 1);
	chances[below] = 1;
	let whole = 1;
	for (let i = 0; i < above; i++) {
		const each = (chances[below + i] as number) * up(mode + i);
		chances[below + i + 1] = each;
		whole += each;
	}
	for (let i = 0; i < below; i++) {
		const each = (chances[below - i] as number) * down(mode - i);
		chances[below - i - 1] = each;
		whole += each;
	}
	for (let i = 0; i < chances.length; i++) chances[i] = (chances[i] as number) / whole;
	return { from: mode - below, chances };
}

/** The least number that is reached with at least this chance, 0 to 1: 0.05 and 0.95 bound the range to expect. */
export function quantileOf({ from, chances }: Chances, level: number): number {
	let sum = 0;
	for (let i = 0; i < chances.length; i++) {
		sum += chances[i] as number;
		if (sum >= level - 1e-12) return from + i;
	}
	return from + chances.length - 1;
}

/** The chance of a number from `low` to `high`, both counted in. */
export function chanceWithin({ from, chances }: Chances, low: number, high: number): number {
	let sum = 0;
	for (let k = Math.max(low, from); k <= Math.min(high, from + chances.length - 1); k++) {
		sum += chances[k - from] as number;
	}
	return sum;
}

/** The chance of exactly k. */
export const chanceAt = ({ from, chances }: Chances, k: number): number => chances[k - from] ?? 0;

/** The number on average. */
export function meanOf({ from, chances }: Chances): number {
	return chances.reduce((sum, chance, i) => sum + chance * (from + i), 0);
}
