import fc from 'fast-check';
import { expect, test } from 'vitest';
import { isDay } from './is-day.ts';

test.each([
	['1996-02-29', true],
	['1900-02-29', false],
	['2000-02-29', true],
	['1995-02-29', false],
	['1996-04-31', false],
	['1996-13-01', false],
	['1996-00-10', false],
	['1996-1-1', false],
	['', false]
])('%s: %s', (text, is) => {
	expect(isDay(text)).toBe(is);
});

// Oracle: the platform's own calendar.
test('for all days and near misses it agrees with Date', () => {
	const whole = (min: number, max: number) => fc.integer({ min, max });
	fc.assert(
		fc.property(whole(1800, 2200), whole(0, 14), whole(0, 33), (year, month, day) => {
			const two = (n: number) => String(n).padStart(2, '0');
			const text = `${year}-${two(month)}-${two(day)}`;
			const time = Date.UTC(year, month - 1, day);
			expect(isDay(text)).toBe(new Date(time).toISOString().startsWith(text));
		})
	);
});
