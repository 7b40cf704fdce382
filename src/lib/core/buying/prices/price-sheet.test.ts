import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CONDITIONS } from '../../copies/condition.ts';
import { flagPrices } from './price-flags.ts';
import { middleOf } from '../../worth/prices/price.ts';
import { priceSheet } from './price-sheet.ts';
import type { Lump, PricedWant } from './priced-want.ts';
import { typicalPrice, type KnownPrice } from './typical-price.ts';
import type { PricePoint } from '../../worth/prices/price-point.ts';

const point = (minor: number, on: string, more: Partial<PricePoint> = {}): PricePoint => ({
	version: 'r/base-1',
	lowMinor: minor,
	highMinor: minor,
	kind: 'asking',
	on,
	...more
});
const need = { versions: ['r/base-1'] };

describe('typicalPrice', () => {
	test.each<[string, readonly PricePoint[], object, number | null]>([
		['nothing', [], need, null],
		['the last that was said', [point(300, '1996-02-01'), point(200, '1996-01-01')], need, 300],
		[
			'of one day the last in the list',
			[point(300, '1996-02-01'), point(20, '1996-02-01')],
			need,
			20
		],
		[
			'sales since: the median of the last five',
			[
				point(900, '1996-01-01'),
				...[7000, 400, 500, 600, 100, 800].map((minor, i) =>
					point(minor, `1996-02-0${i + 1}`, { kind: 'sale' })
				)
			],
			need,
			500
		],
		[
			'a price said since the last sale',
			[point(400, '1996-02-01', { kind: 'sale' }), point(700, '1996-03-01')],
			need,
			700
		],
		[
			'not good enough is passed over',
			[
				point(100, '1996-03-01', { condition: 'good' }),
				point(900, '1996-01-01', { condition: 'mint' })
			],
			{ ...need, leastCondition: 'near mint' },
			900
		],
		[
			'of several conditions that serve the cheapest',
			[
				point(100, '1996-01-01', { condition: 'good' }),
				point(900, '1996-03-01', { condition: 'mint' })
			],
			need,
			100
		],
		['graded ones serve no raw want', [point(5000, '1996-03-01', { grade: 9 })], need, null],
		[
			'a graded want takes its grade and house',
			[
				point(5000, '1996-03-01', { grade: 8, house: 'Plumb' }),
				point(900, '1996-03-01'),
				point(7000, '1996-03-01', { grade: 9, house: 'Sextant' })
			],
			{ ...need, graded: { least: 8, houses: ['Sextant'] } },
			7000
		],
		[
			'of several versions the cheapest',
			[point(500, '1996-03-01'), point(300, '1996-03-01', { version: 'r/base-1!dusk' })],
			{ versions: ['r/base-1', 'r/base-1!dusk'] },
			300
		]
	])('%s', (_, points, of, expected) => {
		const found = typicalPrice(points, of as typeof need);
		expect(found && middleOf(found)).toBe(expected);
	});

	test('for all points, raising the least condition never makes it cheaper', () => {
		const drawn = fc.record({
			minor: fc.integer({ min: 1, max: 9000 }),
			day: fc.integer({ min: 1, max: 9 }),
			condition: fc.option(fc.constantFrom(...CONDITIONS), { nil: undefined }),
			kind: fc.constantFrom('sale' as const, 'asking' as const)
		});
		fc.assert(
			fc.property(fc.array(drawn, { maxLength: 8 }), (some) => {
				const points = some.map(({ minor, day, kind, condition }) =>
					point(minor, `1996-01-0${day}`, { kind, ...(condition ? { condition } : {}) })
				);
				let cheapest = -1;
				for (const leastCondition of [...CONDITIONS].reverse()) {
					const found = typicalPrice(points, { ...need, leastCondition });
					if (!found) {
						cheapest = Infinity;
						continue;
					}
					expect(middleOf(found)).toBeGreaterThanOrEqual(cheapest);
					cheapest = middleOf(found);
				}
			})
		);
	});
});

describe('flagPrices', () => {
	const near = [100, 110, 90, 120, 105];
	const lines = (...more: readonly object[]) => [
		...near.map((minor, i) => ({ key: `n${i}`, neighbourhood: 'a', minor })),
		...more.map((line, i) => ({ key: `x${i}`, neighbourhood: 'a', minor: 100, ...line }))
	];
	test.each<[string, object, string]>([
		['a tenth of its neighbours', { minor: 10 }, 'ten-fold neighbours'],
		['ten times its neighbours', { minor: 1050 }, 'ten-fold neighbours'],
		['forty times', { minor: 4000 }, 'no neighbour neighbours'],
		['twice', { minor: 210 }, ''],
		['with a reason', { minor: 10, reason: 'also in a fixed product' }, ''],
		['ten times what was said before', { beforeMinor: 10 }, 'ten-fold before'],
		['a little more than before', { beforeMinor: 70 }, '']
	])('%s', (_, line, expected) => {
		const flag = flagPrices(lines(line)).get('x0');
		expect(flag ? `${flag.kind} ${flag.against}` : '').toBe(expected);
	});

	test('a dear one among the neighbours does not hide a slip; two parts are not compared', () => {
		expect(flagPrices(lines({ minor: 9000 }, { minor: 10 })).get('x1')?.kind).toBe('ten-fold');
		expect(flagPrices(lines({ minor: 4000, neighbourhood: 'b' })).size).toBe(0);
	});

	test('for all prices, the same in another currency are flagged alike', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 1, max: 5000 }), { maxLength: 12 }),
				fc.constantFrom(10, 100),
				(minors, factor) => {
					const flagged = (by: number) =>
						[
							...flagPrices(
								minors.map((minor, i) => ({
									key: String(i),
									neighbourhood: 'a',
									minor: minor * by
								}))
							).keys()
						].sort();
					expect(flagged(factor)).toEqual(flagged(1));
				}
			)
		);
	});
});

const known = (minor: number, more: object = {}): KnownPrice => ({
	...{
		version: 'v',
		lowMinor: minor,
		highMinor: minor,
		kind: 'asking',
		points: 1,
		on: '1996-01-01'
	},
	...more
});
const want = (
	key: string,
	price: KnownPrice | null,
	more: Partial<PricedWant> = {}
): PricedWant => ({
	...{ key, versions: [key], quantity: 1, release: 'r', section: 'base', kind: 'base' },
	...{ parallel: null, isVariant: false, marks: [], price },
	...more
});

describe('priceSheet', () => {
	const lump: Lump = {
		...{ key: 'lump 1', words: 'all commons', versions: ['a', 'b', 'c', 'd'], cards: 4 },
		...{ lowMinor: 400, highMinor: 800 }
	};

	test('a lump counts by its share of what is still missing, a price of its own goes before', () => {
		const wants = [want('a', null), want('b', known(50)), want('c', null, { quantity: 2 })];
		const { lines, total } = priceSheet(wants, [lump], 60);
		expect(lines.map(({ key, lowMinor, quantity }) => [key, lowMinor, quantity])).toEqual([
			['b', 50, 1],
			['lump 1', 300, 3]
		]);
		expect(total).toEqual({ lowMinor: 350, highMinor: 650 });
		expect(lines.map(({ isDearByPost }) => isDearByPost)).toEqual([true, false]);
	});

	test('what has no price is the median of three neighbours, or in no sum', () => {
		const priced = [100, 300, 500].map((minor, i) => want(`p${i}`, known(minor)));
		const open = [want('x', null), want('k', null, { marks: ['key'] })];
		const sheet = priceSheet([...priced, ...open], [], 0);
		expect(sheet.counts).toMatchObject({ asking: 3, neighbours: 1, unknown: 1 });
		expect(sheet.total.lowMinor).toBe(1200);
		expect(sheet.estimatedShare).toBeCloseTo(0.25);
		expect(sheet.lines.at(-1)).toMatchObject({ key: 'k', basis: 'unknown' });
		expect(priceSheet([...priced.slice(1), ...open], [], 0).counts.unknown).toBe(2);
		expect(priceSheet([], [lump], 500)).toMatchObject({ lines: [], total: { lowMinor: 0 } });
	});

	test('for all wants, each stands on one line, lines rise, and the last running sum is the total', () => {
		const drawn = fc.record({
			price: fc.option(fc.integer({ min: 0, max: 9000 }), { nil: null }),
			quantity: fc.integer({ min: 1, max: 3 }),
			inLump: fc.boolean()
		});
		fc.assert(
			fc.property(fc.array(drawn, { maxLength: 15 }), (some) => {
				const wants = some.map(({ price, quantity }, i) =>
					want(`w${i}`, price === null ? null : known(price), { quantity })
				);
				const versions = some.flatMap(({ inLump }, i) => (inLump ? [`w${i}`] : []));
				const sums = versions.length > 0 ? [{ ...lump, versions, cards: versions.length }] : [];
				const { lines, total, counts } = priceSheet(wants, sums, 100);
				expect(lines.flatMap((line) => line.wants).sort()).toEqual(
					wants.map(({ key }) => key).sort()
				);
				const priced = lines.filter(({ basis }) => basis !== 'unknown');
				const each = priced.map((line) => middleOf(line) / line.quantity);
				for (let i = 1; i < each.length; i++) {
					// The middle of a line is rounded to whole cents.
					expect((each[i] ?? 0) + 0.5).toBeGreaterThanOrEqual(each[i - 1] ?? 0);
				}
				expect(lines.at(-1)?.running ?? { lowMinor: 0, highMinor: 0 }).toEqual(total);
				const cards = some.reduce((sum, { quantity }) => sum + quantity, 0);
				expect(Object.values(counts).reduce((sum, count) => sum + count, 0)).toBe(cards);
			})
		);
	});
});
