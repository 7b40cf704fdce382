import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
	convertMinor,
	formatRateLine,
	parseRateLines,
	type ExchangeRate
} from './exchange-rates.ts';

const code = fc.constantFrom('EUR', 'USD', 'JPY', 'KWD', 'GBP');
const rate = fc
	.record({
		from: code,
		to: code,
		rate: fc.integer({ min: 1, max: 900_000_000 }).map((n) => n / 1_000_000)
	})
	.filter(({ from, to }) => from !== to);
const rates = fc.uniqueArray(rate, {
	selector: ({ from, to }) => [from, to].sort().join(),
	maxLength: 6
});

describe('lines of rates', () => {
	test('for all rates, what is written is read as the same', () => {
		fc.assert(
			fc.property(rates, (kept) => {
				expect(parseRateLines(kept.map(formatRateLine).join('\n'))).toMatchObject({
					ok: true,
					value: kept
				});
			})
		);
	});

	test('are read as people write them; all problems at once, with their lines', () => {
		expect(parseRateLines('usd 0,92 eur\n\n 1 GBP=1.17 EUR ')).toMatchObject({
			value: [
				{ from: 'USD', to: 'EUR', rate: 0.92 },
				{ from: 'GBP', to: 'EUR', rate: 1.17 }
			]
		});
		const wrong = parseRateLines(
			'1 USD = 0 EUR\nEUR = 1 EUR\n1 USD = 2 EUR\n1 EUR = 2 USD\nmuch\n2 USD = 1 EUR\n1 USD = -1 EUR'
		);
		expect(wrong.ok).toBe(false);
		if (!wrong.ok)
			expect(wrong.problems.map(({ message }) => message.slice(0, 6))).toEqual([
				'line 1',
				'line 2',
				'line 4',
				'line 5',
				'line 6',
				'line 7'
			]);
	});
});

describe('amounts', () => {
	const kept: readonly ExchangeRate[] = [
		{ from: 'USD', to: 'EUR', rate: 0.92 },
		{ from: 'USD', to: 'JPY', rate: 150 },
		{ from: 'KWD', to: 'USD', rate: 3.25 }
	];
	// Worked by hand: yen have no decimals, dinars three (ISO 4217).
	test.each([
		[1000, 'USD', 'EUR', 920],
		[920, 'EUR', 'USD', 1000],
		[1000, 'USD', 'JPY', 1500],
		[1500, 'JPY', 'USD', 1000],
		[1000, 'KWD', 'USD', 325],
		[1000, 'KWD', 'EUR', 299],
		[1500, 'JPY', 'EUR', 920],
		[7, 'GBP', 'GBP', 7],
		[7, 'GBP', 'EUR', null]
	] as const)('%i of %s in %s', (minor, from, to, converted) => {
		expect(convertMinor(minor, from, to, kept)).toBe(converted);
	});
});
