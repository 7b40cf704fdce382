import { toRoman } from 'roman-numerals';
import { expect, test } from 'vitest';
import { formatCardNumber, parseCardNumber } from './card-number.ts';
import { compareCardNumbers } from './compare-card-numbers.ts';
import { formatRoman, parseRoman } from './roman.ts';

const all = Array.from({ length: 3999 }, (_, i) => i + 1);

// Reference: the registry's roman-numerals, which shares no code with ours.
test('I to MMMCMXCIX are written as the reference writes them, and read back', () => {
	expect(all.map(formatRoman)).toEqual(all.map((value) => toRoman(value)));
	expect(all.map((value) => parseRoman(formatRoman(value)))).toEqual(all);
});

test.each(['', 'IIII', 'VX', 'IC', 'MMMM', 'iv', 'XIVI', 'VV', 'F', 'X1'])(
	'"%s" is no roman numeral',
	(text) => {
		expect(parseRoman(text)).toBeNull();
	}
);

test.each([0, 4000, 1.5, Number.NaN])('%d cannot be written', (value) => {
	expect(() => formatRoman(value)).toThrow(RangeError);
});

test('as card numbers they are kept as printed and sorted by value', () => {
	const numbers = all.slice(0, 60).map(formatRoman);
	expect(numbers.map((text) => formatCardNumber(parseCardNumber(text)))).toEqual(numbers);
	expect([...numbers].sort().sort(compareCardNumbers)).toEqual(numbers);
});
