import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Card } from './card.ts';
import { numberFrom } from './number-from.ts';

const card = (number: string | null): Card => ({
	key: number ?? 'x',
	number,
	otherNumbers: [],
	title: 'T',
	subjects: [],
	marks: [],
	panelOf: []
});

test.each([
	['89', ['1', '2', '4'], ['89', '90', '92']],
	['89', ['11', '13'], ['89', '91']],
	['F1', ['1', '2'], ['F1', 'F2']],
	['001', ['7', '8'], ['001', '002']],
	['89', ['1', '2', 'F1', 'F2'], ['89', '90', '91', '92']],
	['89', ['2', '1'], ['89', '90']],
	['89', ['1', '1a', '2'], ['89', '90', '91']],
	['89', ['1', null, '3'], ['89', null, '91']],
	['89', [null], [null]],
	['89', [], []],
	['A', ['1', '2'], [null, null]],
	['MMMCMXCVIII', ['1', '2', '3'], ['MMMCMXCVIII', 'MMMCMXCIX', null]]
] as const)('from %s: %j → %j', (from, numbers, wanted) => {
	expect(numberFrom(from, numbers.map(card))).toEqual(wanted);
});

test('for all runs, the new numbers are as far apart as the old ones', () => {
	fc.assert(
		fc.property(
			fc.uniqueArray(fc.integer({ min: 1, max: 400 }), { minLength: 1 }),
			fc.integer({ min: 1, max: 400 }),
			(drawn, from) => {
				const old = drawn.sort((a, b) => a - b);
				const now = numberFrom(
					String(from),
					old.map((number) => card(String(number)))
				);
				expect(now.map((number) => Number(number) - from)).toEqual(
					old.map((number) => number - (old[0] ?? 0))
				);
			}
		)
	);
});
