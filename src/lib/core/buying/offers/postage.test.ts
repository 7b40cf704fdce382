import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { formatPostage, parsePostage } from './parse-postage.ts';
import { formatPriceBreaks, parsePriceBreaks } from './parse-price-breaks.ts';
import { checkPostageRule, postageOf, type PostageRule } from './postage-rule.ts';
import { priceByBreaks } from './price-breaks.ts';

const minor = fc.integer({ min: 0, max: 50_000 });
const free = fc.option(minor, { nil: undefined });
const withFree = (rule: PostageRule, freeFromMinor: number | undefined): PostageRule =>
	freeFromMinor === undefined ? rule : { ...rule, freeFromMinor };
const rules = fc.oneof(
	fc
		.tuple(minor, minor, free)
		.map(([firstMinor, furtherMinor, from]) =>
			withFree({ sort: 'each', firstMinor, furtherMinor }, from)
		),
	fc
		.tuple(
			fc.constantFrom('cards' as const, 'grams' as const),
			fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), minor), { minLength: 1, maxLength: 5 }),
			fc.boolean(),
			free
		)
		.map(([by, steps, isOpen, from]) => {
			const unit = by === 'cards' ? 1 : 0;
			let before = 0;
			const tiers = steps.map(([length, cost], i) => {
				const start = before + unit;
				before += length + unit;
				const isLast = i === steps.length - 1;
				return { from: start, to: isLast && isOpen ? null : before, minor: cost };
			});
			return withFree({ sort: 'tiers', by, tiers }, from);
		})
);

describe('postage', () => {
	test('for all rules, parse(format(x)) = x, and nothing is wrong with them', () => {
		fc.assert(
			fc.property(rules, fc.constantFrom('EUR', 'JPY'), (rule, currency) => {
				expect(checkPostageRule(rule)).toEqual([]);
				expect(parsePostage(formatPostage(rule, currency), currency)).toMatchObject({
					ok: true,
					value: rule
				});
			})
		);
	});

	test.each<[string, RegExp]>([
		['1–20: 4.50; 25+: 6', /nothing is said of 21 to 24 cards/],
		['1–20: 4.50; 20–30: 6', /20 cards stand in two steps/],
		['2–20: 4', /nothing is said of card 1$/],
		['0–20 g: 1; 30–50 g: 2', /nothing is said of 20 to 30 grams/],
		['1+: 4; 20+: 6', /the step before it takes everything/],
		['20–10: 4', /20 to 10 is no step/],
		['1-5: 1; 6-9 g: 2', /cards and grams/],
		['1-5; 6+: 2', /no step/],
		['x', /no amount/],
		['-5', /no amount/],
		['5 + x', /no amount/]
	])('%s: %s', (text, message) => {
		const read = parsePostage(text, 'EUR');
		expect(read.ok ? '' : read.problems.map((problem) => problem.message).join('\n')).toMatch(
			message
		);
	});

	test.each<[string, number, number, number, number]>([
		['5 + 0.10', 1, 2, 0, 500],
		['5 + 0.10', 12, 22, 0, 610],
		['5, free from 40', 3, 6, 4000, 0],
		['5, free from 40', 3, 6, 3999, 500],
		['1–20: 4.50; 21+: 6', 20, 36, 0, 450],
		['1–20: 4.50; 21+: 6', 21, 38, 0, 600],
		['1–20: 4.50', 21, 38, 0, Infinity],
		// ● Ten cards of 1.8 g are 18 g: sums of parts are compared with their rounding.
		['0–18 g: 1; 18–50 g: 2', 10, 10 * 1.8, 0, 100],
		['0–18 g: 1; 18–50 g: 2', 11, 19.8, 0, 200],
		['5 + 0.10', 0, 0, 0, 0]
	])('%s: %i cards of %f g for %i cost %f', (text, cards, grams, amountMinor, expected) => {
		const rule = parsePostage(text, 'EUR');
		expect(rule.ok && postageOf(rule.value, { cards, grams, amountMinor })).toBe(expected);
	});

	test('for all lots, the cheapest way is that of trying all', () => {
		const lot = fc.record({
			count: fc.integer({ min: 1, max: 5 }),
			minor: fc.integer({ min: 0, max: 90 })
		});
		fc.assert(
			fc.property(
				fc.array(lot, { minLength: 1, maxLength: 3 }),
				fc.integer({ min: 1, max: 8 }),
				fc.integer({ min: 1, max: 6 }),
				(lots, quantity, most) => {
					const { minor: costs, pieces } = priceByBreaks(lots, quantity, most);
					const least = (n: number): number => {
						let best = Infinity;
						const visit = (k: number, count: number, cost: number): void => {
							if (count > quantity) return;
							if (count >= n) best = Math.min(best, cost);
							const next = lots[k];
							if (!next) return;
							visit(k + 1, count, cost);
							visit(k, count + next.count, cost + next.minor);
						};
						visit(0, 0, 0);
						return best;
					};
					for (let n = 0; n <= most; n++) {
						expect(costs[n] ?? Infinity).toBe(least(n));
						if (costs[n] !== undefined) expect(pieces[n]).toBeGreaterThanOrEqual(n);
					}
				}
			)
		);
		expect(() => priceByBreaks([{ count: 0, minor: 1 }], 1, 1)).toThrow(RangeError);
	});
});

test('lots are read as they are written; what is none is named', () => {
	const lots = fc.uniqueArray(
		fc.record({
			count: fc.integer({ min: 2, max: 999 }),
			minor: fc.integer({ min: 0, max: 99_999 })
		}),
		{ minLength: 1, maxLength: 5, selector: ({ count }) => count }
	);
	fc.assert(
		fc.property(lots, (drawn) => {
			const sorted = [...drawn].sort((a, b) => a.count - b.count);
			const read = parsePriceBreaks(formatPriceBreaks(sorted, 'EUR'), 'EUR');
			expect(read).toEqual({ ok: true, value: sorted, notes: [] });
		})
	);
	for (const bad of [
		'',
		'five',
		'1 for 2',
		'5 for',
		'5 for 1, 5 for 2',
		'5 for 1 and a half',
		'5 for USD 1'
	]) {
		expect(parsePriceBreaks(bad, 'EUR').ok, bad).toBe(false);
	}
});
