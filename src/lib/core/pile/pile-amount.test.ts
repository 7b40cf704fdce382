import fc from 'fast-check';
import { expect, test } from 'vitest';
import { formatPileAmount, MOST_IN_PILE, parsePileAmount } from './pile-amount.ts';

test.each([
	['400', { cards: 400, isEstimate: false }],
	['1,200', { cards: 1200, isEstimate: false }],
	['12 500 cards', { cards: 12_500, isEstimate: false }],
	['About 400', { cards: 400, isEstimate: true }],
	// 18 pt are 0.4572 mm: worked by hand.
	['45.72 cm', { cards: 1000, isEstimate: true, lengthUm: 457_200 }],
	['35,5 mm', { cards: 77, isEstimate: true, lengthUm: 35_500 }],
	['18 in', { cards: 1000, isEstimate: true, lengthUm: 457_200 }],
	['1', { cards: 1, isEstimate: false }],
	[String(MOST_IN_PILE), { cards: MOST_IN_PILE, isEstimate: false }]
])('%s is an amount', (text, amount) => {
	expect(parsePileAmount(text)).toMatchObject({ ok: true, value: amount });
});

test.each([
	'',
	'0',
	'-4',
	'4.5',
	'many',
	'about',
	'about 35 mm',
	'0.1 mm',
	'1,2,3 mm',
	'1000001',
	'999999999 in',
	'1e3',
	'12 34'
])('"%s" is none, and the remedy says how it is written', (text) => {
	const outcome = parsePileAmount(text);
	expect(outcome).toMatchObject({ ok: false, problems: [{ field: 'amount' }] });
});

test('for all amounts, what is written is read as the same', () => {
	const counted = fc.record({
		cards: fc.integer({ min: 1, max: MOST_IN_PILE }),
		isEstimate: fc.boolean()
	});
	fc.assert(
		fc.property(counted, (amount) => {
			expect(parsePileAmount(formatPileAmount(amount))).toMatchObject({ ok: true, value: amount });
		})
	);
	fc.assert(
		fc.property(fc.integer({ min: 1, max: 400_000 }), (tenths) => {
			const read = parsePileAmount(`${tenths / 10} mm`);
			if (!read.ok) return;
			expect(parsePileAmount(formatPileAmount(read.value))).toEqual(read);
		})
	);
});
