import fc from 'fast-check';
import { expect, test } from 'vitest';
import { dayNumber } from './days.ts';

test('for all dates: as many days as the platform counts', () => {
	const dates = fc.date({
		min: new Date('0001-01-01'),
		max: new Date('9999-12-31'),
		noInvalidDate: true
	});
	fc.assert(
		fc.property(dates, (date) => {
			expect(dayNumber(date.toISOString().slice(0, 10))).toBe(
				Math.floor(date.getTime() / 86_400_000)
			);
		})
	);
});

test.each(['', '1996', '1996-13-01', '1996-01-00'])('"%s" is no date', (date) => {
	expect(() => dayNumber(date)).toThrow(/no date/);
});
