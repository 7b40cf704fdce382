import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	compareSealed,
	SEALED_TRUSTS,
	USUAL_SEALED_RULES,
	type SealedLot,
	type SealedRules
} from './compare-sealed.ts';

const box: SealedLot = {
	...{ quantity: 1, packs: 36, costMinor: 8000, valueMinor: 20_000, trust: 'certain' }
};
const rules: SealedRules = {
	...USUAL_SEALED_RULES,
	...{ feePercent: 10, sendMinor: 500, yearlyPercent: 10, years: 2, elsewherePercent: 0 }
};

describe('keep, open, sell', () => {
	test.each([
		// Worked by hand: sold 20,000 − 10 % − 500; kept 20,000 × 1.1² = 24,200, then sold.
		['its cards bring more', box, 25_000, { best: 'open', sellMinor: 17_500, openMinor: 25_000 }],
		['its cards bring less', box, 9000, { best: 'keep', keepMinor: 21_280, aheadMinor: 3780 }],
		['nobody knows what its cards bring', box, null, { best: 'keep', openMinor: null }],
		[
			'doubtful: half of all of it',
			{ ...box, trust: 'doubtful' },
			9000,
			{ best: 'keep', sellMinor: 8500, openMinor: 4500, isDoubtful: true }
		],
		[
			'resealed: worth nothing',
			{ ...box, trust: 'resealed' },
			9000,
			{ best: null, sellMinor: 0, keepMinor: 0, openMinor: 0, isDoubtful: true }
		],
		['no value', { ...box, valueMinor: null }, 1, { best: 'open', gainMinor: null, aheadMinor: 1 }],
		['nothing known', { ...box, valueMinor: null }, null, { best: null, aheadMinor: 0 }],
		['what it gained', { ...box, costMinor: 26_000 }, null, { gainMinor: -6000 }]
	] as const)('%s', (_, lot, brings, expected) => {
		expect(compareSealed(lot, brings, rules)).toMatchObject(expected);
	});

	test('if it falls every year, it is sold rather than kept', () => {
		expect(compareSealed(box, null, { ...rules, yearlyPercent: -5 }).best).toBe('sell');
	});

	test('money that brings as much elsewhere is not kept in a box', () => {
		expect(compareSealed(box, null, { ...rules, sendMinor: 0, elsewherePercent: 12 }).best).toBe(
			'sell'
		);
	});

	test('for all lots, less trust is worth no more, and the best is the most of the three', () => {
		fc.assert(
			fc.property(fc.nat(1e6), fc.nat(1e6), (valueMinor, brings) => {
				let before = [Infinity, Infinity, Infinity];
				for (const trust of SEALED_TRUSTS) {
					const found = compareSealed({ ...box, valueMinor, trust }, brings, rules);
					const amounts = {
						keep: found.keepMinor ?? NaN,
						open: found.openMinor ?? NaN,
						sell: found.sellMinor ?? NaN
					};
					const now = Object.values(amounts);
					expect(found.best === null ? 0 : amounts[found.best]).toBe(Math.max(...now));
					for (const [i, minor] of now.entries())
						expect(minor).toBeLessThanOrEqual(before[i] ?? NaN);
					before = now;
				}
			})
		);
	});
});
