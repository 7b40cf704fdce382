import { sum } from 'd3-array';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { spreadCost, type SpreadCopy } from './spread-cost.ts';

const copies = fc
	.array(
		fc.record({
			quantity: fc.integer({ min: 1, max: 40 }),
			valueMinor: fc.integer({ min: 0, max: 90_000 })
		}),
		{ minLength: 1, maxLength: 12 }
	)
	.map((rows) => rows.map((row, i): SpreadCopy => ({ ...row, key: String(i) })));

describe('a cost spread over a lot', () => {
	test.each([['share'], ['value']] as const)(
		'for all lots, by %s: nothing is lost, and no card is off by a unit',
		(by) => {
			fc.assert(
				fc.property(copies, fc.integer({ min: 0, max: 5_000_000 }), (lot, total) => {
					const outcome = spreadCost(total, lot, by);
					const worth = sum(lot, (copy) => copy.quantity * (copy.valueMinor ?? 0));
					if (by === 'value' && worth === 0) {
						expect(outcome).toMatchObject({ ok: false, problems: [{ field: 'by' }] });
						return;
					}
					if (!outcome.ok) throw new RangeError('it could be spread');
					expect(sum(outcome.value, (part) => part.quantity * part.costMinor)).toBe(total);
					const cards = sum(lot, ({ quantity }) => quantity);
					for (const copy of lot) {
						const parts = outcome.value.filter(({ key }) => key === copy.key);
						expect(sum(parts, ({ quantity }) => quantity)).toBe(copy.quantity);
						const exact = by === 'share' ? total / cards : (total * (copy.valueMinor ?? 0)) / worth;
						for (const { costMinor } of parts)
							expect(Math.abs(costMinor - exact)).toBeLessThan(1 + 1e-6);
					}
				})
			);
		}
	);

	test('by value asks for the value of each; a total that is none is the programmer’s fault', () => {
		const lot = [
			{ key: 'a', quantity: 2, valueMinor: null },
			{ key: 'b', quantity: 1, valueMinor: 50 }
		];
		expect(spreadCost(100, lot, 'value')).toMatchObject({
			ok: false,
			problems: [{ message: '2 cards of these have no value' }]
		});
		expect(() => spreadCost(1.5, lot, 'share')).toThrow(RangeError);
		expect(() => spreadCost(-1, lot, 'share')).toThrow(RangeError);
		expect(() => spreadCost(1, [], 'share')).toThrow(RangeError);
	});
});
