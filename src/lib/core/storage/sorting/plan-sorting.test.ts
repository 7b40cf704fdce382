import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bestPasses, pileBorders, sortingWays, USUAL_TIMES } from './plan-sorting.ts';

/** Every choice of piles for at most so many passes, smaller ones first, by brute force. */
function allPiles(most: number, passes: number, least = 2): number[][] {
	if (passes === 0) return [[]];
	const firsts = Array.from({ length: Math.max(0, most - least + 1) }, (_, i) => least + i);
	return [
		[],
		...firsts.flatMap((first) => allPiles(most, passes - 1, first).map((rest) => [first, ...rest]))
	];
}

describe('bestPasses', () => {
	test.each([
		// Radix counts worked by hand: 1,000 numbers with ten piles take three passes, with 32 two.
		[1000, 1000, 10, [10, 10, 10]],
		[1000, 1000, 32, [32, 32]],
		[500, 1, 10, []]
	])('%i cards over %i numbers, %i piles', (cards, numbers, most, piles) => {
		expect(bestPasses(cards, numbers, most, USUAL_TIMES)?.piles).toEqual(piles);
	});

	test('with one pile there is no way; a count that is none is refused', () => {
		expect(bestPasses(10, 5, 1, USUAL_TIMES)).toBeNull();
		expect(() => bestPasses(0, 5, 3, USUAL_TIMES)).toThrow('0 cards');
	});

	test('for all small sorts: no other piles take less time (brute force), and each number has its place', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 300 }),
				fc.integer({ min: 2, max: 200 }),
				fc.integer({ min: 2, max: 6 }),
				fc.integer({ min: 1, max: 30 }),
				(cards, numbers, most, pileS) => {
					const times = { cardS: 1, pileS };
					const best = bestPasses(cards, numbers, most, times);
					const product = (piles: readonly number[]) =>
						piles.reduce((all, count) => all * count, 1);
					const all = allPiles(most, Math.ceil(Math.log2(numbers)))
						.filter((piles) => product(piles) >= numbers)
						.map(
							(piles) => piles.length * cards + pileS * piles.reduce((sum, count) => sum + count, 0)
						);
					expect(best?.seconds).toBe(all.reduce((least, seconds) => Math.min(least, seconds)));
					expect(product(best?.piles ?? [])).toBeGreaterThanOrEqual(numbers);
					expect(Math.max(...(best?.piles ?? []))).toBeLessThanOrEqual(most);
				}
			),
			{ numRuns: 60 }
		);
	});

	test('passes sort: dealt by the last digit first and gathered in order, the cards stand in order', () => {
		fc.assert(
			fc.property(
				fc.array(fc.nat(99), { maxLength: 80 }),
				fc.integer({ min: 2, max: 12 }),
				(cards, most) => {
					const { piles } = bestPasses(Math.max(1, cards.length), 100, most, USUAL_TIMES) ?? {
						piles: []
					};
					let stack = cards;
					let weight = 1;
					for (const count of piles) {
						const dealt = Array.from({ length: count }, (): number[] => []);
						for (const card of stack) dealt[Math.floor(card / weight) % count]?.push(card);
						stack = dealt.flat();
						weight *= count;
					}
					expect(stack).toEqual([...cards].sort((a, b) => a - b));
				}
			)
		);
	});
});

describe('sortingWays', () => {
	test('a handful is inserted by hand, a thousand dealt, whatever way is quickest stands first', () => {
		expect(sortingWays(4, 300, 20)[0]?.way).toMatch(/insert/);
		expect(sortingWays(2000, 300, 20)[0]?.way).toBe('passes');
		const ways = sortingWays(500, 300, 20).map(({ seconds }) => seconds);
		expect(ways).toEqual([...ways].sort((a, b) => a - b));
	});

	test.each([0, 1])('%i cards are sorted already', (cards) => {
		if (cards === 1) expect(sortingWays(cards, 10, 5)[0]?.seconds).toBe(0);
		else expect(() => sortingWays(cards, 10, 5)).toThrow(RangeError);
	});
});

/** All orders of the first n whole numbers. */
function orders(n: number): number[][] {
	if (n === 0) return [[]];
	return orders(n - 1).flatMap((order) =>
		Array.from({ length: n }, (_, i) => [...order.slice(0, i), n - 1, ...order.slice(i)])
	);
}

/** Looks of inserting one by one, from the end or by halving, and moves of merging two by two. */
function countWork(order: readonly number[]) {
	let [passed, looks, moves] = [0, 0, 0];
	const sorted: number[] = [];
	for (const card of order) {
		passed += sorted.filter((other) => other > card).length;
		let [low, high] = [0, sorted.length];
		while (low < high) {
			const middle = (low + high) >> 1;
			looks++;
			if ((sorted[middle] ?? 0) < card) low = middle + 1;
			else high = middle;
		}
		sorted.splice(low, 0, card);
	}
	for (let runs = order.length; runs > 1; runs = Math.ceil(runs / 2)) moves += order.length;
	return { passed, looks, moves };
}

describe('what the ways cost, counted over all orders (brute force)', () => {
	const times = { cardS: 0, pileS: 0, lookS: 1 };
	const secondsOf = (way: string, n: number, of: typeof times) =>
		sortingWays(n, n, 10, of).find((plan) => plan.way === way)?.seconds ?? NaN;

	test.each([2, 3, 4, 5, 6, 7])('%i cards', (n) => {
		const all = orders(n).map(countWork);
		const mean = (of: (work: (typeof all)[number]) => number) =>
			all.reduce((sum, work) => sum + of(work), 0) / all.length;
		// n(n − 1)/4 inversions on average: Knuth, The Art of Computer Programming 3, 5.1.1 (from memory).
		expect(mean(({ passed }) => passed)).toBeCloseTo((n * (n - 1)) / 4, 9);
		expect(secondsOf('insert, from the start', n, times)).toBeCloseTo(
			mean(({ passed }) => passed),
			9
		);
		// A whole number of looks is never fewer than log₂ of the places, and on average at most 0.0861 more
		// (Knuth 3, 5.3.1, from memory): one look for two cards.
		const halving = secondsOf('insert, halving', n, times);
		const looks = mean((work) => work.looks);
		expect(looks - halving).toBeGreaterThanOrEqual(-1e-9);
		expect(looks - halving).toBeLessThanOrEqual(0.0861 * n);
		expect(secondsOf('merge', n, { ...times, cardS: 1, lookS: 0 })).toBe(
			mean(({ moves }) => moves)
		);
	});
});

describe('pileBorders', () => {
	test('piles take even shares of the numbers that there are, gaps and all', () => {
		const numbers = ['1', '2', '3', '50', '51', '98', '99', '100'];
		expect(pileBorders(numbers, 3)).toEqual([
			{ from: '1', to: '2', numbers: 2 },
			{ from: '3', to: '51', numbers: 3 },
			{ from: '98', to: '100', numbers: 3 }
		]);
		expect(pileBorders(['1'], 4)).toEqual([{ from: '1', to: '1', numbers: 1 }]);
		expect(pileBorders([], 4)).toEqual([]);
		expect(() => pileBorders(['1'], 0)).toThrow('0 piles');
	});
});
