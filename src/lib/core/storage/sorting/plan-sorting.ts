import { at } from '../../at.ts';
/** What sorting is reckoned with; times in seconds. */
export interface SortingTimes {
	/** To take a card and lay it on a pile. */
	readonly cardS: number;
	/** To set a pile out and gather it again. */
	readonly pileS: number;
	/** To look at a card when searching for its place. */
	readonly lookS: number;
}

/** Assumptions of ours; measured times take precedence. */
export const USUAL_TIMES: SortingTimes = { cardS: 1.2, pileS: 4, lookS: 0.6 };

export const SORTING_WAYS = [
	'passes',
	'deal and insert',
	'merge',
	'insert, halving',
	'insert, from the start'
] as const;
export type SortingWay = (typeof SORTING_WAYS)[number];

export interface SortingPlan {
	readonly way: SortingWay;
	readonly seconds: number;
	/** Piles of each pass, the first dealt first. */
	readonly piles: readonly number[];
}

/**
 * The piles of distribution passes that take the least time: b₁·b₂·…·bₖ ≥ numbers, each b at most
 * `mostPiles`; a pass handles every card once and each of its piles once. Exact: for each number of
 * passes the piles are as even as they can be, for with a given product the sum is then least, and
 * near ones are tried. Null where one pile is all there is room for.
 *
 * @throws RangeError where a count is no whole number ≥ 1
 * @example bestPasses(100, 100, 1, { cardS: 1, pileS: 1 }) // null
 */
export function bestPasses(
	cards: number,
	numbers: number,
	mostPiles: number,
	{ cardS, pileS }: Pick<SortingTimes, 'cardS' | 'pileS'>
): { readonly piles: readonly number[]; readonly seconds: number } | null {
	for (const [name, value] of Object.entries({ cards, numbers, mostPiles })) {
		if (!Number.isInteger(value) || value < 1) throw new RangeError(`bestPasses: ${value} ${name}`);
	}
	if (numbers === 1) return { piles: [], seconds: 0 };
	if (mostPiles < 2) return null;
	let best: { piles: readonly number[]; seconds: number } | null = null;
	// Of two piles each so many passes tell all numbers apart; a further one only takes longer.
	const most = Math.ceil(Math.log2(numbers));
	for (let passes = 1; passes <= most; passes++) {
		if (best !== null && passes * cards * cardS >= best.seconds) break;
		const piles = leastPiles(numbers, passes, mostPiles);
		if (!piles) continue;
		const sum = piles.reduce((total, count) => total + count, 0);
		const seconds = passes * cards * cardS + pileS * sum;
		if (!best || seconds < best.seconds) best = { piles, seconds };
	}
	return best;
}

/** The piles of so many passes with the least sum whose product reaches the numbers; null: none does. */
function leastPiles(numbers: number, passes: number, most: number): readonly number[] | null {
	const reaches = (piles: readonly number[]) =>
		piles.reduce((product, count) => product * count, 1) >= numbers;
	let high = Math.max(2, Math.floor(numbers ** (1 / passes)));
	while (high ** passes < numbers) high++;
	if (high > most) return null;
	// As many as can be are one smaller: a product of near equal numbers is the largest for its sum.
	for (let low = 0; low <= passes; low++) {
		const piles = [
			...Array<number>(passes - low).fill(high),
			...Array<number>(low).fill(Math.max(1, high - 1))
		];
		if (!reaches(piles)) {
			return [
				...Array<number>(passes - low + 1).fill(high),
				...Array<number>(low - 1).fill(Math.max(1, high - 1))
			];
		}
	}
	return Array<number>(passes).fill(Math.max(1, high - 1));
}

/** All ways to sort so many cards, the quickest first. */
export function sortingWays(
	cards: number,
	numbers: number,
	mostPiles: number,
	times: SortingTimes = USUAL_TIMES
): readonly SortingPlan[] {
	const { cardS, pileS, lookS } = times;
	const passes = bestPasses(cards, numbers, mostPiles, times);
	const log = (n: number) => (n <= 1 ? 0 : Math.log2(n));
	const sumOfLogs = logSums(cards);
	const ways: (SortingPlan | null)[] = [
		passes && { way: 'passes', seconds: passes.seconds, piles: passes.piles },
		bestDeal(cards, mostPiles),
		mostPiles < 2
			? null
			: { way: 'merge', seconds: cards * (cardS + lookS) * Math.ceil(log(cards)), piles: [2] },
		// Beside k cards there are k + 1 places: one is found with log₂ (k + 1) looks by halving, with k/2 from
		// the start.
		{ way: 'insert, halving', seconds: cards * cardS + lookS * sumOfLogs(cards), piles: [] },
		{
			way: 'insert, from the start',
			seconds: cards * cardS + (lookS * cards * Math.max(0, cards - 1)) / 4,
			piles: []
		}
	];
	return ways
		.filter((way) => way !== null)
		.map((way) => (cards <= 1 ? { ...way, seconds: 0, piles: [] } : way))
		.sort((a, b) => a.seconds - b.seconds);

	function bestDeal(count: number, most: number): SortingPlan | null {
		const choices = Array.from({ length: Math.max(0, most - 1) }, (_, i): SortingPlan => {
			const piles = i + 2;
			const each = count / piles;
			const seconds =
				2 * count * cardS + piles * pileS + piles * lookS * sumOfLogs(Math.round(each));
			return { way: 'deal and insert', seconds, piles: [piles] };
		});
		return choices.sort((a, b) => a.seconds - b.seconds)[0] ?? null;
	}
}

/**
 * log₂ 2 + … + log₂ n = log₂ n!: looks to insert n cards one after the other by halving, for n up to `most`.
 * Published: Knuth, The Art of Computer Programming 3, 5.3.1 (from memory).
 */
function logSums(most: number): (n: number) => number {
	const sums = new Float64Array(most + 1);
	for (let n = 2; n <= most; n++) sums[n] = (sums[n - 1] as number) + Math.log2(n);
	return (n) => sums[n] as number;
}

/** A pile and the numbers that go on it, both ends included. */
export interface PileBorder {
	readonly from: string;
	readonly to: string;
	readonly numbers: number;
}

/**
 * The borders of piles in a set's own numbers: even shares of the numbers that there are, so that gaps
 * in the numbering make no empty pile.
 *
 * @throws RangeError where there is no pile
 * @example pileBorders(['1', '2', '7', '9'], 2) // [{ from: '1', to: '2', numbers: 2 }, { from: '7', to: '9', numbers: 2 }]
 */
export function pileBorders(numbers: readonly string[], piles: number): readonly PileBorder[] {
	if (!Number.isInteger(piles) || piles < 1) throw new RangeError(`pileBorders: ${piles} piles`);
	const shares = Math.min(piles, numbers.length);
	return Array.from({ length: shares }, (_, i) => {
		const from = Math.floor((i * numbers.length) / shares);
		const to = Math.floor(((i + 1) * numbers.length) / shares) - 1;
		return { from: at(numbers, from), to: at(numbers, to), numbers: to - from + 1 };
	});
}
