import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CARD_SHAPES } from '../card-format.ts';
import { CARD_MARKS } from '../card.ts';
import { VARIANT_KIND_NAMES } from '../variant.ts';
import { formatOutline } from './format-outline.ts';
import type { OutlineLine } from './outline.ts';
import { parseOutline } from './parse-outline.ts';

test('for all outlines, parse(format(x)) = x', () => {
	const name = fc
		.stringMatching(/^[A-Z][a-z]{2,6}( [A-Z][a-z]{2,6})?$/)
		.filter(
			(word) =>
				!/^(all|not|grid|strip|stated|size|form|made|from|without|listed|unlisted)\b/i.test(word)
		);
	const whole = fc.integer({ min: 1, max: 99 });
	const plain = fc
		.record({
			prefix: fc.constantFrom('', 'F', 'T-'),
			from: whole,
			more: fc.integer({ min: 0, max: 9 })
		})
		.map(({ prefix, from, more }) => ({ from: `${prefix}${from}`, to: `${prefix}${from + more}` }));
	const ofSeries = fc
		.record({ series: whole, from: whole, more: fc.integer({ min: 0, max: 9 }) })
		.map(({ series, from, more }) => ({
			from: `${series}-${from}`,
			to: `${series}-${from + more}`
		}));
	const run = fc.oneof({ arbitrary: plain, weight: 3 }, ofSeries);
	const optional = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { nil: undefined });
	const format = fc
		.record(
			{
				widthMm: fc.integer({ min: 1, max: 99_999 }).map((hundredths) => hundredths / 100),
				heightMm: whole,
				stockPt: whole,
				shape: fc.constantFrom(...CARD_SHAPES)
			},
			{ requiredKeys: [] }
		)
		.filter((make) => Object.keys(make).length > 0);
	const choice = { runs: fc.array(run, { minLength: 1, maxLength: 3 }), section: optional(name) };
	const words = fc.constantFrom('as printed', 'shine: none, dull', 'look at 12 in good light');
	const line: fc.Arbitrary<OutlineLine> = fc.oneof(
		fc.record({ kind: fc.constantFrom('note' as const, 'tell' as const), text: words }),
		fc.record({
			kind: fc.constant('mark' as const),
			mark: fc.constantFrom(...CARD_MARKS),
			...choice
		}),
		fc.record({ kind: fc.constant('tag' as const), family: name, word: name, ...choice }),
		fc.record({
			kind: fc.constant('panels' as const),
			name,
			of: name,
			joins: fc.array(
				fc.oneof(
					fc.record({ kind: fc.constantFrom('odd' as const, 'even' as const) }),
					fc.record({
						kind: fc.constant('in a row' as const),
						count: fc.integer({ min: 2, max: 9 })
					}),
					fc.record({
						kind: fc.constant('cards' as const),
						cards: fc.constantFrom(['1-1', '1-9'], ['1', '2', '3'])
					})
				),
				{ minLength: 1, maxLength: 2 }
			)
		}),
		fc.record({ kind: fc.constant('comment' as const), text: name }),
		fc.record({
			kind: fc.constant('release' as const),
			name,
			maker: name,
			year: fc.constantFrom('1994', '1994-95')
		}),
		fc.record({
			kind: fc.constant('pack' as const),
			name,
			cards: optional(whole),
			packs: optional(whole),
			price: optional(
				fc.record({ minor: fc.nat(99_999), currency: fc.constantFrom('EUR', 'JPY', 'KWD') })
			),
			form: optional(name),
			madeOf: optional(
				fc.array(fc.record({ count: whole, pack: name }), { minLength: 1, maxLength: 2 })
			)
		}),
		fc
			.tuple(name, run)
			.map(([title, numbers]) => ({ kind: 'series' as const, name: title, ...numbers })),
		fc.record({
			kind: fc.constant('section' as const),
			section: fc.constantFrom(
				'base' as const,
				'subset' as const,
				'insert' as const,
				'extra' as const
			),
			name,
			numberedIn: optional(name),
			editionOf: optional(fc.array(name, { minLength: 1, maxLength: 2 })),
			runs: fc.array(run, { maxLength: 2 }),
			count: optional(whole),
			odds: fc.array(fc.record({ pack: name, odds: fc.constantFrom('1:6', '2:1') }), {
				maxLength: 2
			}),
			printRun: optional(whole),
			statedTotal: optional(whole),
			listed: optional(fc.boolean()),
			grid: optional(
				fc.record({ columns: fc.integer({ min: 1, max: 9 }), rows: fc.integer({ min: 1, max: 9 }) })
			),
			strip: optional(whole),
			noBaseFinish: optional(fc.constant(true as const)),
			format: optional(format),
			from: optional(fc.constantFrom('89', 'P1', '2-1')),
			without: fc.array(run, { maxLength: 2 })
		}),
		fc.record({
			kind: fc.constant('parallel' as const),
			name,
			targets: fc.array(
				fc
					.record({
						target: fc.oneof(
							run.map((numbers) => ({ run: numbers })),
							name.map((section) => ({ section })),
							fc.constant({})
						),
						isExcluded: fc.boolean(),
						printRun: optional(whole)
					})
					.map(({ target, ...rest }) => ({ ...target, ...rest })),
				{ minLength: 1, maxLength: 3 }
			)
		}),
		fc.record({
			kind: fc.constant('variant' as const),
			variant: fc.constantFrom(...VARIANT_KIND_NAMES),
			runs: fc.array(run, { minLength: 1, maxLength: 2 }),
			section: optional(name),
			name
		})
	);
	fc.assert(
		fc.property(fc.array(line, { maxLength: 6 }), (lines) => {
			const { lines: read, problems } = parseOutline(formatOutline(lines));
			expect(problems).toEqual([]);
			expect(JSON.parse(JSON.stringify(read.map(({ line: _, ...rest }) => rest)))).toEqual(
				JSON.parse(JSON.stringify(lines))
			);
		}),
		{ numRuns: 400 }
	);
});
