import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { dealPasses, namePile } from './deal-passes.ts';
import { bestPasses, USUAL_TIMES } from './plan-sorting.ts';
import { sortingSteps, stepPiles } from './sorting-steps.ts';
import { tuneTimes } from './tune-times.ts';

const numbersTo = (count: number) => Array.from({ length: count }, (_, i) => String(i + 1));

describe('dealPasses', () => {
	test('two passes of ten over a hundred numbers: places in a run first, then the runs', () => {
		const numbers = numbersTo(100);
		const [first, second] = dealPasses(numbers, [10, 10]);
		expect(first?.map((pile) => namePile(pile, numbers))[0]).toBe('1, 11, 21 … 91');
		expect(second?.map((pile) => namePile(pile, numbers))).toEqual(
			Array.from({ length: 10 }, (_, i) => `${10 * i + 1}–${10 * i + 10}`)
		);
	});

	test('piles are named by the set’s own numbers: gaps are not counted', () => {
		const numbers = ['1', '2', '3', '201', '202', 'F1'];
		expect(
			dealPasses(numbers, [3, 2]).map((pass) => pass.map((pile) => namePile(pile, numbers)))
		).toEqual([
			['1, 201', '2, 202', '3, F1'],
			['1–3', '201–F1']
		]);
		expect(dealPasses(numbers, [])).toEqual([]);
		expect(() => dealPasses(numbers, [2, 2])).toThrow('2 × 2 piles for 6 numbers');
	});

	test('for all piles in any order: dealt as the slip says, they are sorted, and on no pile too many', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 400 }),
				fc.integer({ min: 2, max: 20 }),
				fc.array(fc.nat(), { minLength: 1, maxLength: 200 }),
				(count, room, picks) => {
					const numbers = numbersTo(count);
					const piles = bestPasses(picks.length, count, room, USUAL_TIMES)?.piles ?? [];
					const passes = dealPasses(numbers, piles);
					let pile = picks.map((pick) => pick % count);
					for (const pass of passes) {
						expect(pass.length).toBeLessThanOrEqual(room);
						const places = pass.map((dealt) => dealt.map((number) => Number(number) - 1));
						pile = places.flatMap((dealt) => pile.filter((card) => dealt.includes(card)));
					}
					expect(pile).toEqual(picks.map((pick) => pick % count).sort((a, b) => a - b));
				}
			),
			{ numRuns: 150 }
		);
	});
});

describe('the steps of a slip', () => {
	test.each([
		['passes', [7, 6], [7, 6]],
		['passes', [], [0]],
		['deal and insert', [12], [12, 0]],
		['merge', [2], [0]],
		['insert, halving', [], [0]]
	] as const)('%s on %j piles: %j', (way, piles, steps) => {
		expect(sortingSteps({ way, piles })).toEqual(steps);
	});

	test('a single deal leaves even runs, in order, to insert in; by hand there are no piles', () => {
		const numbers = numbersTo(10);
		const [piles] = stepPiles('deal and insert', [3, 0], numbers);
		expect(piles?.map((pile) => namePile(pile, numbers))).toEqual(['1–3', '4–7', '8–10']);
		expect(stepPiles('merge', [0], numbers)).toEqual([]);
		expect(stepPiles('passes', [0], [])).toEqual([]);
		expect(stepPiles('passes', [2, 5], numbers)).toHaveLength(2);
	});

	test('where the checklist has grown since, the piles are runs still, and none is over the room', () => {
		const [piles, ...more] = stepPiles('passes', [2, 5], numbersTo(37));
		expect(more).toEqual([]);
		expect(piles?.length).toBeLessThanOrEqual(2);
		expect(piles?.flat()).toEqual(numbersTo(37));
	});
});

describe('tuneTimes', () => {
	test('no pass leaves the usual; many exact ones give the times they were made with', () => {
		expect(tuneTimes([])).toEqual(USUAL_TIMES);
		const mine = { cardS: 0.8, pileS: 9 };
		const passes = Array.from({ length: 40 }, (_, i) => {
			const [cards, piles] = [60 + 6 * i, 10 + ((7 * i) % 41)];
			return { cards, piles, seconds: cards * mine.cardS + piles * mine.pileS };
		});
		const { cardS, pileS, lookS } = tuneTimes(passes);
		expect(cardS).toBeCloseTo(mine.cardS, 1);
		expect(Math.abs(pileS - mine.pileS)).toBeLessThan(1.5);
		expect(lookS).toBe(USUAL_TIMES.lookS);
		expect(() => tuneTimes([{ cards: 1, piles: 1, seconds: 0 }])).toThrow('in 0 s');
	});

	test('for all passes: no time near by has a smaller sum of squares, prior included', () => {
		const pass = fc.record({
			cards: fc.integer({ min: 50, max: 2000 }),
			piles: fc.integer({ min: 2, max: 40 }),
			seconds: fc.integer({ min: 60, max: 4000 })
		});
		fc.assert(
			fc.property(fc.array(pass, { minLength: 1, maxLength: 8 }), (passes) => {
				const errorOf = (cardS: number, pileS: number) =>
					passes.reduce(
						(sum, { cards, piles, seconds }) =>
							sum + ((cards * cardS + piles * pileS) / seconds - 1) ** 2,
						(0.1 * (cardS / USUAL_TIMES.cardS - 1)) ** 2 +
							(0.1 * (pileS / USUAL_TIMES.pileS - 1)) ** 2
					);
				const { cardS, pileS } = tuneTimes(passes);
				fc.pre(cardS > USUAL_TIMES.cardS / 10 && pileS > USUAL_TIMES.pileS / 10);
				const best = errorOf(cardS, pileS);
				for (const [a, b] of [
					[1.02, 1],
					[0.98, 1],
					[1, 1.02],
					[1, 0.98],
					[1.02, 0.98]
				] as const) {
					expect(errorOf(cardS * a, pileS * b)).toBeGreaterThanOrEqual(best - 1e-9);
				}
			})
		);
	});
});
