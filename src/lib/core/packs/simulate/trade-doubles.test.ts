import fc from 'fast-check';
import { sum } from 'd3-array';
import { expect, test } from 'vitest';
import { tradeDoubles } from './trade-doubles.ts';

const groups = [
	{ key: 'base', missing: 16, doubles: 290 },
	{ key: 'insert', missing: 3, doubles: 4 },
	{ key: 'hit', missing: 9, doubles: 0 }
];

test.each([
	['no trades', { isWithinGroup: false, othersFor: {} }, [16, 290, 3, 4, 9, 0]],
	['one for one within a group', { isWithinGroup: true, othersFor: {} }, [0, 274, 0, 1, 9, 0]],
	// 275 doubles are left; nine cards at 55 would take 495, so five are had.
	['55 for a hit', { isWithinGroup: true, othersFor: { hit: 55 } }, [0, 0, 0, 0, 4, 0]],
	// The insert is had for 6 of the 290, then 30 a hit: 270 of 288 left.
	[
		'inserts at 2, hits at 30',
		{ isWithinGroup: false, othersFor: { hit: 30, insert: 2 } },
		[16, 17.75, 0, 0.25, 0, 0]
	]
])('%s', (_, rules, expected) => {
	const traded = tradeDoubles(groups, rules).flatMap(({ missing, doubles }) => [missing, doubles]);
	for (const [i, value] of traded.entries()) expect(value).toBeCloseTo(expected[i] ?? NaN, 9);
});

test('for all groups nothing is made of nothing', () => {
	const amount = fc.double({ min: 0, max: 500, noNaN: true });
	const drawn = fc.array(
		fc.record({
			missing: amount,
			doubles: amount,
			price: fc.option(fc.integer({ min: 1, max: 50 }))
		}),
		{
			maxLength: 5
		}
	);
	fc.assert(
		fc.property(drawn, fc.boolean(), (some, isWithinGroup) => {
			const before = some.map((group, i) => ({ ...group, key: String(i) }));
			const othersFor = Object.fromEntries(
				before.flatMap(({ key, price }) => (price === null ? [] : [[key, price]]))
			);
			const after = tradeDoubles(before, { isWithinGroup, othersFor });
			for (const [i, { missing, doubles }] of after.entries()) {
				expect(missing).toBeGreaterThanOrEqual(-1e-9);
				expect(doubles).toBeGreaterThanOrEqual(-1e-9);
				expect(missing).toBeLessThanOrEqual(before[i]?.missing ?? NaN);
			}
			const had = sum(before, ({ missing }) => missing) - sum(after, ({ missing }) => missing);
			const given = sum(before, ({ doubles }) => doubles) - sum(after, ({ doubles }) => doubles);
			expect(given).toBeGreaterThanOrEqual(had - 1e-6);
		})
	);
});
