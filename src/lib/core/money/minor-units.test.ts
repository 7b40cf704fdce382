import { expect, test } from 'vitest';
import { formatMinor, minorDigits } from './minor-units.ts';

// ISO 4217, list one: minor units, from memory.
test.each([
	['EUR', 2],
	['USD', 2],
	['JPY', 0],
	['KRW', 0],
	['VND', 0],
	['XOF', 0],
	['KWD', 3],
	['BHD', 3],
	['TND', 3],
	['XXY', 2],
	['', 2],
	['€', 2]
])('%s has %i decimals', (code, digits) => expect(minorDigits(code)).toBe(digits));

test.each([
	[1250, 'EUR', '12.50'],
	[18, 'USD', '0.18'],
	[1240, 'JPY', '1240'],
	[1234, 'KWD', '1.234'],
	[0, 'GBP', '0.00'],
	[29, 'EUR', '0.29']
])('%i %s is written %s', (minor, currency, text) => {
	expect(formatMinor(minor, currency)).toBe(text);
});
