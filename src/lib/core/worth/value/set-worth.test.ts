import { describe, expect, test } from 'vitest';
import type { PricePoint } from '../prices/price-point.ts';
import { panelWorth } from './panel-worth.ts';
import { setWorth, USUAL_WORTH_RULES, worthOverTime, type WorthCopy } from './set-worth.ts';

const copy = (key: string, more: Partial<WorthCopy> = {}): WorthCopy => ({
	...{
		key,
		version: key,
		quantity: 1,
		isKey: false,
		group: 'base',
		condition: 'near mint',
		...more
	}
});
const sale = (version: string, minor: number, more: Partial<PricePoint> = {}): PricePoint => ({
	...{
		version,
		lowMinor: minor,
		highMinor: minor,
		kind: 'sale',
		on: '1996-09-01',
		condition: 'near mint',
		...more
	}
});
const TODAY = '1996-10-06';

describe('what a set is worth', () => {
	const copies = [
		copy('a', { isKey: true }),
		copy('b', { quantity: 3 }),
		copy('c', { saidMinor: 70 }),
		copy('d', { group: 'insert' }),
		copy('e', { group: 'insert', saidMinor: 5 })
	];
	const points = [
		sale('a', 600),
		sale('a', 800),
		sale('a', 700),
		sale('b', 50),
		sale('b', 60, { on: '1995-01-01' }),
		sale('b', 10, { condition: 'excellent' }),
		sale('c', 90, { kind: 'asking' }),
		sale('e', 30)
	];
	test('by sales, else by what its owner says, else by what was asked; unknown in no sum', () => {
		const worth = setWorth(copies, points, TODAY, USUAL_WORTH_RULES);
		expect(worth.lines.map(({ key, basis, eachMinor }) => [key, basis, eachMinor])).toEqual([
			['a', 'sales', 700],
			['b', 'sales', 55],
			['c', 'said', 70],
			['d', 'unknown', 0],
			['e', 'sales', 30]
		]);
		// 700 + 3 × 55 + 70 + 30; low 600 + 150 + 70 + 30; a step worse 350 + 3 × 10 (sold so) + 35 + 15.
		expect(worth).toMatchObject({
			copies: 7,
			unpriced: 1,
			totalMinor: 965,
			lowMinor: 850,
			highMinor: 1080,
			lowerMinor: 430,
			keyShare: 700 / 965,
			unsureShare: 30 / 965
		});
		expect(
			worth.groups.map(({ group, totalMinor, unpriced }) => [group, totalMinor, unpriced])
		).toEqual([
			['base', 935, 0],
			['insert', 30, 1]
		]);
	});

	// ● A lightly played set costs about half of a near-mint one. Common practice, no source.
	test('● one step worse about half, where nobody has sold such ones; never more than it is', () => {
		const half = setWorth([copy('a')], [sale('a', 700)], TODAY, USUAL_WORTH_RULES);
		expect(half).toMatchObject({ totalMinor: 700, lowerMinor: 350 });
		const dear = setWorth(
			[copy('a')],
			[sale('a', 700), sale('a', 900, { condition: 'excellent' })],
			TODAY,
			USUAL_WORTH_RULES
		);
		expect(dear.lowerMinor).toBe(700);
		const poor = setWorth(
			[copy('a', { condition: 'poor' })],
			[sale('a', 10, { condition: 'poor' })],
			TODAY,
			USUAL_WORTH_RULES
		);
		expect(poor.lines[0]).toMatchObject({ lowerMinor: 5, lowerBasis: 'share' });
	});

	test('over time: by what was known then; nothing at all', () => {
		expect(
			worthOverTime([copy('b')], points, ['1994-01-01', '1995-06-01', TODAY], USUAL_WORTH_RULES)
		).toEqual([
			{ on: '1994-01-01', totalMinor: 0, unpriced: 1 },
			{ on: '1995-06-01', totalMinor: 60, unpriced: 0 },
			{ on: TODAY, totalMinor: 55, unpriced: 0 }
		]);
		expect(setWorth([], points, TODAY, USUAL_WORTH_RULES)).toMatchObject({
			totalMinor: 0,
			keyShare: null,
			unsureShare: null,
			lines: []
		});
	});

	test.each([
		[900, [300, 400], { dearer: 'intact', byMinor: 200, unpriced: 0 }],
		[900, [500, 400], { dearer: 'the same', byMinor: 0 }],
		[900, [300, null], { dearer: 'cannot tell', byMinor: null, unpriced: 1 }],
		[900, [950, null], { dearer: 'singles', byMinor: null }],
		[null, [300], { dearer: 'cannot tell' }]
	])('a panel of %s against its singles', (intactMinor, singlesMinor, holds) => {
		expect(panelWorth({ key: 'p', intactMinor, singlesMinor })).toMatchObject(holds);
	});
});
