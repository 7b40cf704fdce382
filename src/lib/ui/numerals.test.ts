import { afterEach, expect, test } from 'vitest';
import {
	countOf,
	formatAgo,
	formatCount,
	formatDay,
	formatDayOfYear,
	formatMoney,
	formatMonth,
	formatSize,
	formatWeight,
	writeAs
} from './numerals';

afterEach(() => writeAs('en-GB'));

/** Blanks that do not break are blanks here. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');

// Unicode CLDR as Node has it: how numbers, days and money are written where.
test.each([
	['en-GB', '1,234,567', '6 Oct 1996', '€1,234.50', '9.6 kg', '63.5 × 88.9 mm'],
	['en-US', '1,234,567', 'Oct 6, 1996', '€1,234.50', '21.2 lb', '63.5 × 88.9 mm (2.5 × 3.5 in)'],
	['de-DE', '1.234.567', '06.10.1996', '1.234,50 €', '9,6 kg', '63,5 × 88,9 mm'],
	['fr-FR', '1 234 567', '6 oct. 1996', '1 234,50 €', '9,6 kg', '63,5 × 88,9 mm'],
	['en-IN', '12,34,567', '6 Oct 1996', '€1,234.50', '9.6 kg', '63.5 × 88.9 mm']
])('%s: %s, %s, %s, %s, %s', (locale, count, day, money, weight, size) => {
	writeAs(locale);
	expect(plain(formatCount(1_234_567))).toBe(count);
	expect(plain(formatDay('1996-10-06'))).toBe(day);
	expect(plain(formatMoney(123_450, 'EUR'))).toBe(money);
	// 1 lb is 0.45359237 kg, exactly (international yard and pound agreement, 1959).
	expect(plain(formatWeight(9600))).toBe(weight);
	// 1 in is 25.4 mm, exactly (the same agreement).
	expect(formatSize(63.5, 88.9)).toBe(size);
});

test('a currency without minor units has none; words stay English', () => {
	writeAs('de-DE');
	expect(plain(formatMoney(1500, 'JPY'))).toBe('1.500 ¥');
	expect(countOf(1200, 'card')).toBe('1.200 cards');
	writeAs('en-GB');
	expect([formatMonth('1996-10-06'), formatDayOfYear('1996-10-06')]).toEqual(['Oct 1996', '6 Oct']);
});

test.each([
	[0, 'just now'],
	[59_000, 'just now'],
	[60_000, '1 minute ago'],
	[3_599_000, '59 minutes ago'],
	[2 * 3_600_000, '2 hours ago'],
	[-5000, 'just now'],
	[86_400_000, 'yesterday'],
	[3 * 86_400_000, '3 days ago']
])('%i ms old is %s', (age, words) => {
	const then = Date.UTC(1996, 9, 6, 12);
	expect(formatAgo(then, then + age)).toMatch(new RegExp(`, ${words}$`));
});
