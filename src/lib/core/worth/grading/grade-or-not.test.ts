import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chancesByCounts, chancesByEye } from './grade-chances.ts';
import { gradeOrNot, type GradingCase } from './grade-or-not.ts';

const price = (grade: number, minor: number) => ({
	grade,
	lowMinor: minor - 100,
	middleMinor: minor,
	highMinor: minor + 100
});
const asked: GradingCase = {
	...{ rawMinor: 2000, feeMinor: 1500, postageMinor: 500, sellingShare: 0 },
	chances: [
		{ grade: 9, chance: 0.25 },
		{ grade: 8, chance: 0.5 }
	],
	prices: [price(9, 10_000), price(8, 4000)]
};

describe('grade or not', () => {
	// By hand: 0.25 × (10,000 − 2,000) + 0.5 × (4,000 − 2,000) + 0 − 2,000 = 1,000. Break-even: not 9 loses
	// (0.5 × 0 + 0.25 × −2,000) / 0.75 = −666.67, a 9 wins 6,000: p = 666.67 / 6,666.67 = 0.1.
	test('worked by hand', () => {
		expect(gradeOrNot(asked)).toMatchObject({
			...{
				verdict: 'grade',
				gainMinor: 1000,
				gainLowMinor: 925,
				gainHighMinor: 1075,
				lossChance: 0.25,
				hopedGrade: 9,
				hopedChance: 0.25
			},
			outcomes: [
				{ label: '9', gainMinor: 6000 },
				{ label: '8', gainMinor: 0 },
				{ label: 'no grade', chance: 0.25, valueMinor: 2000, gainMinor: -2000 }
			]
		});
		expect(gradeOrNot(asked).breakEvenChance).toBeCloseTo(0.1, 12);
	});

	test.each<[string, Partial<GradingCase>, object]>([
		[
			'what is taken at the sale counts on both sides',
			{ sellingShare: 0.1 },
			{ gainMinor: 0.9 * 3000 - 2000 }
		],
		[
			'a grade without a price is worth the next worse, marked',
			{ prices: [price(8, 4000)], hopedGrade: 9 },
			{
				outcomes: [{ label: '9', valueMinor: 4000, isAssumed: true }, {}, {}],
				breakEvenChance: 1
			}
		],
		[
			'no price at all: raw',
			{ prices: [] },
			{ verdict: 'leave it raw', gainMinor: -2000, hopedGrade: null, breakEvenChance: null }
		],
		[
			'certain',
			{ chances: [{ grade: 9, chance: 1 }] },
			{ gainMinor: 6000, breakEvenChance: 0.25, lossChance: 0 }
		],
		[
			'one with a qualifier is not what is hoped for',
			{
				chances: [
					{ grade: 9, qualifier: 'off centre', chance: 0.5 },
					{ grade: 8, chance: 0.25 }
				],
				prices: [{ ...price(9, 5000), qualifier: 'off centre' }, price(8, 4000)]
			},
			{ hopedGrade: 8, hopedChance: 0.25 }
		],
		['never worth its fee', { feeMinor: 9000 }, { verdict: 'leave it raw', breakEvenChance: null }],
		['nothing lost in any case', { feeMinor: 0, postageMinor: 0 }, { breakEvenChance: 0 }]
	])('%s', (_, changed, holds) => {
		expect(gradeOrNot({ ...asked, ...changed })).toMatchObject(holds);
	});

	test('for all cases: at the break-even chance nothing is won or lost', () => {
		const minor = fc.integer({ min: 0, max: 20_000 });
		fc.assert(
			fc.property(
				fc.array(minor, { minLength: 3, maxLength: 3 }),
				minor,
				minor,
				fc.integer({ min: 1, max: 9 }),
				([low = 0, middle = 0, high = 0], rawMinor, feeMinor, tenths) => {
					const prices = [price(7, low), price(8, middle), price(9, high)];
					const at = (chance: number) =>
						gradeOrNot({
							...{ rawMinor, feeMinor, postageMinor: 0, sellingShare: 0.1, prices },
							chances: [
								{ grade: 9, chance },
								{ grade: 8, chance: 0.6 * (1 - chance) },
								{ grade: 7, chance: 0.4 * (1 - chance) }
							]
						});
					const { breakEvenChance } = at(tenths / 10);
					if (breakEvenChance === null) {
						expect(Math.min(at(0).gainMinor, at(1).gainMinor)).toBeLessThanOrEqual(0);
						return;
					}
					if (breakEvenChance === 0) expect(at(0).gainMinor).toBeGreaterThanOrEqual(-1);
					else expect(Math.abs(at(breakEvenChance).gainMinor)).toBeLessThanOrEqual(1);
				}
			)
		);
	});

	test('chances by counts and by the own eye', () => {
		expect(chancesByCounts([{ grade: 9, count: 0 }])).toEqual([]);
		expect(chancesByEye(10, [0.5, -9.5, -0.25])).toEqual([
			{ grade: 10, chance: 2 / 3 },
			{ grade: 1, chance: 1 / 3 }
		]);
		expect(chancesByEye(8, [])).toEqual([{ grade: 8, chance: 1 }]);
		expect(() => gradeOrNot({ ...asked, chances: [{ grade: 9, chance: 1.1 }] })).toThrow(
			/chances 1.1/
		);
	});
});
