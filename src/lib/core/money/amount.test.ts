import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { checkAmount, formatAmount, parseAmount } from './amount.ts';

describe('parseAmount', () => {
	test.each<[string, string | null, number, string]>([
		['13,75', 'EUR', 1375, 'EUR'],
		['13.75', 'EUR', 1375, 'EUR'],
		['13', 'EUR', 1300, 'EUR'],
		['0,5', 'EUR', 50, 'EUR'],
		['1,240.50', 'EUR', 124_050, 'EUR'],
		['1.240,50', 'EUR', 124_050, 'EUR'],
		["1'240.50", 'CHF', 124_050, 'CHF'],
		['1 240,5', 'EUR', 124_050, 'EUR'],
		['1\u00a0240\u00a0000,00', 'EUR', 124_000_000, 'EUR'],
		['1.240', 'EUR', 124_000, 'EUR'],
		['1,240,000', 'USD', 124_000_000, 'USD'],
		['1.240', 'KWD', 1240, 'KWD'],
		['0.755', 'KWD', 755, 'KWD'],
		['1,240.755', 'KWD', 1_240_755, 'KWD'],
		['1240', 'JPY', 1240, 'JPY'],
		['1,240', 'JPY', 1240, 'JPY'],
		['€ 13.75', null, 1375, 'EUR'],
		['13,75 €', 'EUR', 1375, 'EUR'],
		['13.75 usd', null, 1375, 'USD'],
		['EUR13.75', null, 1375, 'EUR'],
		['$5', 'CAD', 500, 'CAD'],
		['  7  ', 'GBP', 700, 'GBP']
	])('%j in %s', (text, currency, minor, code) => {
		expect(parseAmount(text, currency)).toMatchObject({
			ok: true,
			value: { minor, currency: code }
		});
	});

	test.each<[string, string | null, RegExp]>([
		['', 'EUR', /no amount/],
		['x', 'EUR', /no amount/],
		['-5', 'EUR', /no amount/],
		['1e9', 'EUR', /no amount/],
		['13,7.5', 'EUR', /no amount/],
		['1.24.50', 'EUR', /no amount/],
		['12,34,56', 'EUR', /no amount/],
		['1234.567', 'EUR', /no amount/],
		['0,755', 'EUR', /3 decimals/],
		['13.5', 'JPY', /1 decimals/],
		['13.75', null, /no currency/],
		['13.75 USD', 'EUR', /in USD, not in EUR/],
		['€5', 'USD', /in EUR, not in USD/],
		['€5 EUR', null, /no amount/],
		['5 §', 'EUR', /"§" is no currency/],
		['99999999999999999', 'EUR', /counted exactly/]
	])('%j in %s is refused', (text, currency, message) => {
		const outcome = parseAmount(text, currency);
		expect(outcome.ok).toBe(false);
		if (!outcome.ok) expect(outcome.problems[0]?.message).toMatch(message);
	});

	const currency = fc.constantFrom('EUR', 'USD', 'JPY', 'KWD', 'CHF');
	const minor = fc.oneof(
		fc.integer({ min: 0, max: 2_000_000_000 }),
		fc.integer({ min: 0, max: 2000 })
	);

	test('for all amounts, parse(format(x)) = x, with the currency known or not', () => {
		fc.assert(
			fc.property(minor, currency, fc.boolean(), (units, code, isKnown) => {
				const amount = { minor: units, currency: code };
				expect(checkAmount(amount)).toEqual([]);
				expect(parseAmount(formatAmount(amount), isKnown ? code : null)).toMatchObject({
					ok: true,
					value: amount
				});
			})
		);
	});

	// Oracle: the platform's own way of writing amounts, in languages that part and mark differently.
	test('for all amounts of two decimals, it reads what Intl writes in six languages', () => {
		const language = fc.constantFrom('en', 'de', 'fr', 'de-CH', 'sv', 'pt-BR');
		fc.assert(
			fc.property(minor, language, (units, locale) => {
				const text = new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(
					units / 100
				);
				expect(parseAmount(text, 'EUR')).toMatchObject({ ok: true, value: { minor: units } });
			})
		);
	});

	test('for all texts, what is read has a digit and is an amount, what is not has a reason', () => {
		const marks = fc.string({ unit: fc.constantFrom(..."0123459.,' €$EURkč-") });
		fc.assert(
			fc.property(fc.oneof(fc.string(), marks), (text) => {
				const outcome = parseAmount(text, 'EUR');
				if (outcome.ok) {
					expect(/\d/.test(text)).toBe(true);
					expect(checkAmount(outcome.value)).toEqual([]);
				} else expect(outcome.problems[0]?.message).toBeTruthy();
			}),
			{ numRuns: 500 }
		);
	});
});
