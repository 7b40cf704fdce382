import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { formatCardNumber, normalCardNumber, parseCardNumber } from './card-number.ts';

describe('card numbers', () => {
	test.each([
		['12', { series: null, prefix: '', digits: 12, suffix: '', zeros: 0 }],
		['007', { series: null, prefix: '', digits: 7, suffix: '', zeros: 2 }],
		['0', { series: null, prefix: '', digits: 0, suffix: '', zeros: 0 }],
		['F15', { series: null, prefix: 'F', digits: 15, suffix: '', zeros: 0 }],
		['T-3', { series: null, prefix: 'T-', digits: 3, suffix: '', zeros: 0 }],
		['2-14', { series: 2, prefix: '', digits: 14, suffix: '', zeros: 0 }],
		['XIV', { series: null, prefix: '', digits: 14, suffix: '', zeros: 0, roman: true }],
		['12a', { series: null, prefix: '', digits: 12, suffix: 'a', zeros: 0 }]
	])('%s is taken apart', (text, parts) => {
		expect(parseCardNumber(text)).toEqual({ roman: false, ...parts, rest: '' });
	});

	test.each(['½', 'No. 3 of 9', '', '0-5', 'xiv'])('"%s" is kept whole', (text) => {
		expect(parseCardNumber(text)).toMatchObject({ digits: null, rest: text });
	});

	test('for every trimmed text, writing what was read gives the text', () => {
		const numbers = fc.oneof(
			fc.string().map((text) => text.trim()),
			fc.stringMatching(/^(\d{1,3}-)?[A-Z]{0,3}-?0{0,3}\d{1,5}[a-c]?$/)
		);
		fc.assert(
			fc.property(numbers, (text) => {
				expect(formatCardNumber(parseCardNumber(text))).toBe(text);
			})
		);
	});

	test.each([
		['f01', 'F1'],
		['0012', '12'],
		['2-014', '2-14']
	])('%s and %s are the same number', (a, b) => {
		expect(normalCardNumber(a)).toBe(normalCardNumber(b));
	});
});
