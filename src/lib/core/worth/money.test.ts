import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { formatMinor, minorDigits, toMinor } from './money.ts';

describe('minor units', () => {
	test.each([
		[12.5, 'EUR', 1250, '12.50'],
		[0.18, 'USD', 18, '0.18'],
		[1240, 'JPY', 1240, '1240'],
		[1.234, 'KWD', 1234, '1.234'],
		[0, 'GBP', 0, '0.00'],
		[0.29, 'EUR', 29, '0.29']
	])('%d %s is %i', (amount, currency, minor, text) => {
		expect(toMinor(amount, currency)).toBe(minor);
		expect(formatMinor(minor, currency)).toBe(text);
	});

	test('for all amounts, what is written is read back', () => {
		const currency = fc.constantFrom('EUR', 'JPY', 'KWD');
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 2_000_000_000 }), currency, (minor, code) => {
				expect(toMinor(Number(formatMinor(minor, code)), code)).toBe(minor);
			})
		);
	});

	// Oracle: the platform's copy of ISO 4217.
	test.each(['EUR', 'USD', 'JPY', 'KRW', 'KWD', 'BHD', 'CHF', 'VND', 'TND', 'XOF'])(
		'%s',
		(code) => {
			const { maximumFractionDigits } = new Intl.NumberFormat('en', {
				style: 'currency',
				currency: code
			}).resolvedOptions();
			expect(minorDigits(code)).toBe(maximumFractionDigits);
		}
	);
});
