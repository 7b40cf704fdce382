import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lotCoverage } from './lot-coverage.ts';

describe('lotCoverage', () => {
	// Feller, An Introduction to Probability Theory and Its Applications, vol. 1, ch. II.5: seven balls leave none of
	// seven cells empty with 7!/7⁷ = 0.006120 (from memory; the fraction is exact).
	test('seven cards of seven kinds hold all of them with 0.006120', () => {
		const { chanceOfAll } = lotCoverage({ cards: 7, kinds: 7, wanted: 7, isAllDifferent: false });
		expect(chanceOfAll).toBeCloseTo(5040 / 823_543, 12);
		expect(chanceOfAll).toBeCloseTo(0.00612, 5);
	});

	// Fifty of a hundred different cards hold half of any wanted ones: hypergeometric mean n·w/N, variance as in any handbook.
	test('without repetition it is hypergeometric', () => {
		const { expected, spread } = lotCoverage({
			cards: 50,
			kinds: 100,
			wanted: 20,
			isAllDifferent: true
		});
		expect(expected).toBeCloseTo(10, 9);
		expect(spread ** 2).toBeCloseTo((50 * 0.2 * 0.8 * 50) / 99, 9);
	});

	test('for all lots, the mean is as the occupancy formula says, and chances sum to 1', () => {
		const lot = fc
			.tuple(
				fc.integer({ min: 0, max: 300 }),
				fc.integer({ min: 1, max: 200 }),
				fc.nat(200),
				fc.boolean()
			)
			.filter(
				([cards, kinds, wanted, isAllDifferent]) =>
					wanted <= kinds && (!isAllDifferent || cards <= kinds)
			);
		fc.assert(
			fc.property(lot, ([cards, kinds, wanted, isAllDifferent]) => {
				const { expected, chances } = lotCoverage({ cards, kinds, wanted, isAllDifferent });
				const mean = isAllDifferent
					? (cards * wanted) / kinds
					: -wanted * Math.expm1(cards * Math.log1p(-1 / kinds));
				const right = kinds === 1 && !isAllDifferent ? (cards > 0 ? wanted : 0) : mean;
				expect(expected).toBeCloseTo(right, 8);
				expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
				expect(chances.every((chance) => chance >= 0)).toBe(true);
			})
		);
	});

	test('bad numbers are refused', () => {
		for (const bad of [
			{ cards: 1, kinds: 2, wanted: 3 },
			{ cards: 3, kinds: 2, wanted: 1 },
			{ cards: -1, kinds: 2, wanted: 1 },
			{ cards: 0.5, kinds: 2, wanted: 1 }
		]) {
			expect(() => lotCoverage({ ...bad, isAllDifferent: true })).toThrow(RangeError);
		}
	});
});
