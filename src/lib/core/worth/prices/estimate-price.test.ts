import { describe, expect, test } from 'vitest';
import { estimatePrice, USUAL_ESTIMATE_RULES } from './estimate-price.ts';
import { indexPoints, type LikeNeed } from './like-points.ts';
import { priceCurves } from './price-curve.ts';
import { printingRatio } from './printing-ratio.ts';
import type { PricePoint } from './price-point.ts';
import { eachSlipOnce, tenFoldSlips } from './ten-fold.ts';

const TODAY = '1996-10-06';
const sale = (minor: number, on: string, more: Partial<PricePoint> = {}): PricePoint => ({
	...{ version: 'a', lowMinor: minor, highMinor: minor, kind: 'sale', on, ...more }
});
const estimate = (points: readonly PricePoint[], need: Omit<LikeNeed, 'version'> = {}) =>
	estimatePrice(indexPoints(points), { version: 'a', ...need }, TODAY);

describe('what a copy is worth', () => {
	const six = ['1996-09-01', '1996-08-01', '1996-07-01', '1996-06-01', '1996-05-01', '1996-04-01'];
	test.each<[string, readonly PricePoint[], Omit<LikeNeed, 'version'>, object]>([
		[
			'nothing is known',
			[],
			{},
			{
				basis: 'unknown',
				middleMinor: null,
				lowMinor: null,
				confidence: null,
				on: null,
				ageDays: null,
				flags: ['no sale']
			}
		],
		// ● The typical of the last three to five sales: the sixth is left out. Median of 100 to 500 is 300; 1 − 2^−4.
		[
			'of six sales the last five',
			six.map((on, i) => sale(100 * (i + 1), on)),
			{},
			{
				basis: 'sales',
				middleMinor: 300,
				lowMinor: 100,
				highMinor: 500,
				points: 5,
				confidence: 0.9375,
				ageDays: 35,
				flags: []
			}
		],
		[
			'old ones only to make three',
			[
				sale(100, '1996-09-01'),
				sale(200, '1990-01-01'),
				sale(600, '1989-01-01'),
				sale(900, '1988-01-01')
			],
			{},
			{ middleMinor: 200, points: 3, highMinor: 600, flags: [] }
		],
		[
			'a lone sale',
			[sale(100, '1996-09-01')],
			{},
			{ middleMinor: 100, confidence: 0, flags: ['lone sale'] }
		],
		[
			'two sales, long ago',
			[sale(100, '1990-09-01'), sale(300, '1990-08-01')],
			{},
			{ middleMinor: 200, confidence: 0.5, flags: ['two sales', 'old'] }
		],
		[
			'nothing was sold: what was asked last',
			[
				sale(500, '1996-01-01', { kind: 'asking' }),
				sale(400, '1996-02-01', { kind: 'asking', highMinor: 450 })
			],
			{},
			{
				basis: 'asking',
				middleMinor: 425,
				confidence: null,
				flags: ['no sale'],
				asking: { lowMinor: 400, highMinor: 450 }
			}
		],
		[
			'a sale counts before a newer asking price',
			[sale(100, '1995-09-01'), sale(900, '1996-09-01', { kind: 'asking' })],
			{},
			{ basis: 'sales', middleMinor: 100, asking: { lowMinor: 900 } }
		],
		['what is sold later is passed over', [sale(100, '1996-10-07')], {}, { basis: 'unknown' }],
		[
			'like with like: the grade',
			[sale(100, '1996-09-01', { grade: 8 }), sale(900, '1996-09-01', { grade: 9 })],
			{ grade: 8 },
			{ middleMinor: 100, points: 1 }
		],
		[
			'like with like: raw is not graded',
			[sale(100, '1996-09-01', { grade: 8 })],
			{ condition: 'near mint' },
			{ basis: 'unknown' }
		],
		[
			'like with like: the house, where the copy says it',
			[
				sale(100, '1996-09-01', { grade: 8, house: 'Gull' }),
				sale(300, '1996-09-02', { grade: 8, house: 'Tern' })
			],
			{ grade: 8, house: 'Gull' },
			{ middleMinor: 100 }
		],
		[
			'a qualifier makes another grade',
			[sale(100, '1996-09-01', { grade: 8, qualifier: 'off centre' })],
			{ grade: 8 },
			{ basis: 'unknown' }
		],
		[
			'authentic by itself',
			[sale(70, '1996-09-01', { isAuthentic: true }), sale(100, '1996-09-01', { grade: 1 })],
			{ isAuthentic: true },
			{ middleMinor: 70 }
		]
	])('%s', (_, points, need, holds) => {
		expect(estimate(points, need)).toMatchObject(holds);
	});

	test('● inversions are told, every pair, and never smoothed away; the monotone price stands beside', () => {
		const at = (grade: number, minor: number, on = '1996-10-06') => sale(minor, on, { grade });
		const [curve] = priceCurves(
			[at(5, 300), at(6, 200), at(7, 250), at(8, 900)],
			TODAY,
			USUAL_ESTIMATE_RULES
		);
		expect(
			curve?.points.map(({ typicalMinor, monotoneMinor, isMoved }) => [
				typicalMinor,
				monotoneMinor,
				isMoved
			])
		).toEqual([
			[300, 250, true],
			[200, 250, true],
			[250, 250, false],
			[900, 900, false]
		]);
		expect(curve?.inversions.map(({ worse, better }) => [worse.grade, better.grade])).toEqual([
			[5, 6],
			[5, 7]
		]);
		// A year old counts half: (2 × 100 + 1 × 160) / 3.
		const [aged] = priceCurves([at(5, 160, '1995-10-07'), at(6, 100)], TODAY, USUAL_ESTIMATE_RULES);
		expect(aged?.points[0]?.monotoneMinor).toBe(120);
	});

	test('houses and scales are kept apart; words have an order of their own', () => {
		const points = [
			sale(100, TODAY, { grade: 8, house: 'Gull' }),
			sale(50, TODAY, { grade: 9, house: 'Tern' }),
			sale(10, TODAY, { condition: 'near mint' }),
			sale(20, TODAY, { condition: 'good' }),
			sale(5, TODAY, { isAuthentic: true }),
			sale(5, TODAY)
		];
		const curves = priceCurves(points, TODAY, USUAL_ESTIMATE_RULES);
		expect(
			curves.map(({ house, scale, points: on, inversions }) => [
				house,
				scale,
				on.length,
				inversions.length
			])
		).toEqual([
			['Gull', 'grades', 1, 0],
			['Tern', 'grades', 1, 0],
			[null, 'conditions', 2, 1]
		]);
		expect(
			priceCurves(
				[sale(1, '0001-01-01', { grade: 1 }), sale(0, '0001-01-01', { grade: 2 })],
				TODAY,
				USUAL_ESTIMATE_RULES
			)[0]?.points[0]?.monotoneMinor
		).toBe(1);
	});

	test('a slipped decimal mark is flagged against the others like it, and with a reason it is not', () => {
		const points = [
			sale(240, '1996-01-01'),
			sale(2400, '1996-02-01'),
			sale(250, '1996-03-01'),
			sale(2300, '1996-03-01', { grade: 9 })
		];
		expect(
			tenFoldSlips(points).map(({ point, againstMinor, others }) => [
				point.lowMinor,
				againstMinor,
				others
			])
		).toEqual([[2400, 245, 2]]);
		expect(tenFoldSlips(points.map((point) => ({ ...point, reason: 'signed' })))).toEqual([]);
		expect(tenFoldSlips([sale(0, TODAY), sale(0, TODAY)])).toEqual([]);
	});

	test('of two that are ten-fold of each other the later is told, once', () => {
		const slips = tenFoldSlips([sale(46, '1996-05-30'), sale(460, '1996-06-22')]);
		expect(slips).toHaveLength(2);
		expect(
			eachSlipOnce(slips).map(({ point, againstMinor }) => [point.lowMinor, againstMinor])
		).toEqual([[460, 46]]);
	});

	test('the ratio between printings, quality by quality', () => {
		const of = (version: string, minor: number, more: Partial<PricePoint>) =>
			sale(minor, TODAY, { version, ...more });
		const points = [
			of('brass', 300, { grade: 8 }),
			of('base', 100, { grade: 8 }),
			of('brass', 800, { grade: 9 }),
			of('base', 200, { grade: 9 }),
			of('brass', 50, { condition: 'good' }),
			of('base', 7, { grade: 3 })
		];
		expect(printingRatio(points, 'brass', 'base', TODAY, USUAL_ESTIMATE_RULES)).toMatchObject({
			ratio: 3.5,
			low: 3,
			high: 4,
			qualities: ['8', '9']
		});
		expect(printingRatio([], 'brass', 'base', TODAY, USUAL_ESTIMATE_RULES).ratio).toBeNull();
	});
});
