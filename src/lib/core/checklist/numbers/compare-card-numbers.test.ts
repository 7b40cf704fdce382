import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { cardNumberOrder, compareCardNumbers, sortByCardNumber } from './compare-card-numbers.ts';

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
		expect([...numbers].sort(cardNumberOrder(numbers))).toEqual(ordered);
	});

	test.each([
		['letters', [...'ZXVUMLIHDCBA', 'AB', 'AA'], [...'ABCDHILMUVXZ', 'AA', 'AB']],
		['numerals', ['X', 'IX', 'V', 'IV', 'I', 'L', 'C'], ['I', 'IV', 'V', 'IX', 'X', 'L', 'C']],
		['both by themselves', ['M', 'D', 'C'], ['C', 'D', 'M']],
		[
			'notes in a number',
			['No. 10 of 12', 'No. 2 of 12', '½', '3'],
			['3', 'No. 2 of 12', 'No. 10 of 12', '½']
		]
	])('%s', (_, numbers, ordered) => {
		expect([...numbers].sort(cardNumberOrder(numbers))).toEqual(ordered);
		expect(
			sortByCardNumber(
				numbers,
				(number) => number,
				() => 0
			)
		).toEqual(ordered);
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

	test('for all texts it is a total order: antisymmetric and transitive, letters and numerals too', () => {
		const number = fc.oneof(
			fc.stringMatching(/^(\d-)?[A-Z]?\d{1,3}[a-b]?$/),
			fc.stringMatching(/^[A-Z]{1,2}$/),
			fc.constantFrom(
				'I',
				'II',
				'IV',
				'V',
				'IX',
				'X',
				'C',
				'D',
				'M',
				'IIII',
				'½',
				'No. 3 of 9',
				''
			),
			fc.string({ maxLength: 4 }),
			fc.constant(null)
		);
		const others = fc.array(number, { maxLength: 4 });
		fc.assert(
			fc.property(number, number, number, others, (a, b, c, rest) => {
				for (const compare of [compareCardNumbers, cardNumberOrder([a, b, c, ...rest])]) {
					expect(compare(a, a)).toBe(0);
					expect(Math.sign(compare(a, b))).toBe(0 - Math.sign(compare(b, a)));
					if (compare(a, b) <= 0 && compare(b, c) <= 0) {
						expect(compare(a, c)).toBeLessThanOrEqual(0);
					}
				}
			}),
			{ numRuns: 2000 }
		);
	});
});
