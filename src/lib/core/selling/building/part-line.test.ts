import fc from 'fast-check';
import { expect, test } from 'vitest';
import { buildToSell } from './build-to-sell.ts';
import { formatPartLine, formatSaleSteps, parsePartLines, parseSaleSteps } from './part-line.ts';
import { suggestParts } from './suggest-build.ts';

test('for all parts and prices of sets: parse(format(x)) = x', () => {
	const minor = fc.integer({ min: 0, max: 1_000_000 });
	const offer = fc.record({
		priceMinor: minor,
		feedsSets: fc.integer({ min: 1, max: 200 }),
		available: fc.integer({ min: 0, max: 200 }),
		hours: fc.integer({ min: 0, max: 400 }).map((quarters) => quarters / 4)
	});
	const part = fc.record({
		key: fc.stringMatching(/^[A-JL-Z][a-z]{0,8}( [0-9]{1,3})?$/),
		isKey: fc.boolean(),
		valueMinor: fc.option(minor),
		offers: fc
			.array(offer, { maxLength: 4 })
			.map((some) => some.map((each, i) => ({ key: `${i + 1}`, ...each })))
	});
	fc.assert(
		fc.property(fc.uniqueArray(part, { maxLength: 5, selector: ({ key }) => key }), (parts) => {
			const text = parts.map((each) => formatPartLine(each, 'EUR')).join('\n');
			expect(parsePartLines(text, 'EUR')).toMatchObject({ ok: true, value: parts });
		})
	);
	const step = fc.record({ sets: fc.integer({ min: 1, max: 999 }), priceMinor: minor });
	fc.assert(
		fc.property(fc.array(step, { maxLength: 4 }), (steps) => {
			expect(parseSaleSteps(formatSaleSteps(steps, 'EUR'), 'EUR')).toMatchObject({ value: steps });
		})
	);
});

test.each<[string, string, readonly RegExp[]]>([
	['no name', ': 40', [/line 1: it has no name/]],
	['no amount', 'Commons: cheap', [/"cheap" is no amount/]],
	['an unknown word', 'Commons: 40, soon', [/"soon" is not understood/]],
	['feeds none', 'Commons: 40 for 0 sets', [/feeds no set/]],
	['twice', 'A: 1\nA: 2', [/"A" is there twice/]],
	['all lines', 'A: x\n\nB worth y: 3', [/line 1/, /line 3/]]
])('bad parts, %s', (_, text, told) => {
	const read = parsePartLines(text, 'EUR');
	const said = read.ok ? [] : read.problems.map(({ message }) => message);
	expect(said).toHaveLength(told.length);
	told.forEach((pattern, i) => expect(said[i]).toMatch(pattern));
	expect(parseSaleSteps('0 at 3, two at 4', 'EUR')).toMatchObject({ ok: false });
});

test('● a plan to begin with prices key cards first: one without a price stops it', () => {
	const parts = suggestParts([
		{ name: '1 Lamp', isKey: true, eachMinor: 900 },
		{ name: '2 Mist', isKey: true, eachMinor: null },
		{ name: '3 Tide', isKey: false, eachMinor: 20 },
		{ name: '4 Fog', isKey: false, eachMinor: null }
	]);
	expect(parts).toMatchObject([
		{ key: '2 Mist', isKey: true, valueMinor: null, offers: [] },
		{ key: '1 Lamp', valueMinor: 900, offers: [{ priceMinor: 900 }] },
		{ key: 'The other 2 cards', isKey: false, valueMinor: 20 }
	]);
	const nothing = { suppliesMinor: 0, packingMinor: 0, postageMinor: 0, fixedMinor: 0 };
	const plan = buildToSell({
		...{ parts, ...nothing, sales: [{ sets: 3, priceMinor: 2000 }], feeShare: 0 },
		...{ hoursFixed: 0, hoursPerSet: 0, mostSets: 3 }
	});
	expect(plan).toMatchObject({ verdict: 'price the key cards first', missing: ['2 Mist'] });
	expect(suggestParts([])).toEqual([]);
	expect(suggestParts([{ name: 'x', isKey: false, eachMinor: null }])).toMatchObject([
		{ key: 'All 1 cards', offers: [] }
	]);
});
