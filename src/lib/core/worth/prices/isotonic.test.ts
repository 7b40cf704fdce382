import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isotonicFit } from './isotonic.ts';

describe('isotonic regression', () => {
	// Published examples, values from memory: scikit-learn, tests of isotonic regression; R, help of stats::isoreg.
	test.each<[string, readonly number[], readonly number[], readonly number[]]>([
		['scikit-learn', [3, 7, 5, 9, 8, 7, 10], [1, 1, 1, 1, 1, 1, 1], [3, 6, 6, 8, 8, 8, 10]],
		['scikit-learn, the least weight', [5, 2], [1, 3], [2.75, 2.75]],
		[
			'R isoreg',
			[1, 0, 4, 3, 3, 5, 4, 2, 0],
			Array(9).fill(1) as number[],
			[0.5, 0.5, 3, 3, 3, 3, 3, 3, 3]
		],
		['nothing', [], [], []],
		['a single value', [4], [2], [4]]
	])('%s', (_, values, weights, fitted) => {
		isotonicFit(values, weights).forEach((value, i) =>
			expect(value).toBeCloseTo(fitted[i] ?? NaN, 12)
		);
		expect(isotonicFit(values, weights)).toHaveLength(fitted.length);
	});

	test('for all values: the greatest of the least averages (min–max formula of Brunk 1955)', () => {
		const some = fc.array(
			fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 9 })),
			{ maxLength: 12 }
		);
		fc.assert(
			fc.property(some, (points) => {
				const fitted = isotonicFit(
					points.map(([value]) => value),
					points.map(([, weight]) => weight)
				);
				const average = (from: number, to: number) => {
					const part = points.slice(from, to + 1);
					return (
						part.reduce((sum, [value, weight]) => sum + value * weight, 0) /
						part.reduce((sum, [, weight]) => sum + weight, 0)
					);
				};
				points.forEach((_, i) => {
					const from = Array.from({ length: i + 1 }, (__, a) => a);
					const to = Array.from({ length: points.length - i }, (__, b) => i + b);
					const wanted = Math.max(...from.map((a) => Math.min(...to.map((b) => average(a, b)))));
					expect(fitted[i]).toBeCloseTo(wanted, 9);
				});
			})
		);
	});

	test('weights that are none are refused', () => {
		expect(() => isotonicFit([1, 2], [1])).toThrow(/isotonicFit: weights 1 of 2/);
		expect(() => isotonicFit([1], [0])).toThrow(RangeError);
	});
});
