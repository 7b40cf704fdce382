import fc from 'fast-check';
import { expect, test } from 'vitest';
import { LOOK_NAMES, RELIABILITY_NAMES } from '../tell.ts';
import { formatTells, parseTells } from './tell-cell.ts';

const text = fc
	.string({ minLength: 1, maxLength: 12 })
	.filter((each) => each === each.trim() && !/[\r\n]/.test(each));

test('for all tells: reading what was written gives them back', () => {
	const tell = fc.record(
		{
			feature: text,
			value: text,
			otherwise: text,
			where: fc.constantFrom(...LOOK_NAMES),
			reliability: fc.constantFrom(...RELIABILITY_NAMES),
			groups: fc.array(text, { minLength: 1, maxLength: 3 }),
			places: fc.array(fc.integer({ min: 1, max: 99 }), { minLength: 1, maxLength: 3 })
		},
		{ requiredKeys: ['feature', 'value'] }
	);
	fc.assert(
		fc.property(fc.array(tell, { maxLength: 4 }), (tells) => {
			const outcome = parseTells(formatTells(tells));
			expect(outcome.ok && outcome.value).toEqual(tells);
		}),
		{ numRuns: 300 }
	);
});

test.each([
	'back',
	': BRASS',
	'back:',
	'a: b: c',
	'back: BRASS / look under',
	'back: BRASS / trust me',
	'back: BRASS / colour red',
	'back: BRASS / look back / look front',
	'back: BRASS / places 0',
	'back: BRASS / places x',
	'back: BRASS / groups A + '
])('"%s" is no tell', (cell) => {
	expect(parseTells(cell)).toMatchObject({
		ok: false,
		problems: [{ message: `"${cell.trim()}" is no tell` }]
	});
});

test('people write them so', () => {
	expect(parseTells('Back: BRASS/else none/look back ; edge: 3\\/4 cut')).toMatchObject({
		value: [
			{ feature: 'Back', value: 'BRASS', otherwise: 'none', where: 'back' },
			{ feature: 'edge', value: '3/4 cut' }
		]
	});
});
