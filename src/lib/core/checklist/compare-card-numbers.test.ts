import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { compareCardNumbers } from './compare-card-numbers.ts';

describe('order of card numbers', () => {
	test.each([
		[
			['10', '2', '1', '100'],
			['1', '2', '10', '100']
		],
		[
			['T10', 'T2', 'T1'],
			['T1', 'T2', 'T10']
		],
		[
			['2-1', '1-16', '1-2', '10-1'],
			['1-2', '1-16', '2-1', '10-1']
		],
		[
			['12a', '12', '12b', '11'],
			['11', '12', '12a', '12b']
		],
		[
			[null, '3', null, '1'],
			['1', '3', null, null]
		]
	])('%j', (numbers, ordered) => {
		expect([...numbers].sort(compareCardNumbers)).toEqual(ordered);
	});

	// Published: ECMA-402, Intl.Collator with the option `numeric` (Unicode collation, kn).
	test('for all plain and prefixed numbers, the order is that of Intl.Collator', () => {
		const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });
		const number = fc.stringMatching(/^[A-Z]{0,2}[1-9]\d{0,4}$/);
		fc.assert(
			fc.property(number, number, (a, b) => {
				expect(Math.sign(compareCardNumbers(a, b))).toBe(Math.sign(collator.compare(a, b)));
			})
		);
	});

	test('for all texts it is an order: antisymmetric and transitive', () => {
		const number = fc.oneof(fc.stringMatching(/^(\d-)?[A-Z]?\d{1,3}[a-b]?$/), fc.constant(null));
		fc.assert(
			fc.property(number, number, number, (a, b, c) => {
				expect(Math.sign(compareCardNumbers(a, b))).toBe(0 - Math.sign(compareCardNumbers(b, a)));
				if (compareCardNumbers(a, b) <= 0 && compareCardNumbers(b, c) <= 0) {
					expect(compareCardNumbers(a, c)).toBeLessThanOrEqual(0);
				}
			})
		);
	});
});
