import { describe, expect, test } from 'vitest';
import { USUAL_ESTIMATE_RULES } from '../prices/estimate-price.ts';
import type { PricePoint } from '../prices/price-point.ts';
import { gradeLadder, type LadderGround } from './grade-ladder.ts';
import { USUAL_JUMP } from './ladder-steps.ts';

const sale = (
	version: string,
	grade: number,
	minor: number,
	more: Partial<PricePoint> = {}
): PricePoint => ({
	...{
		version,
		grade,
		lowMinor: minor,
		highMinor: minor,
		kind: 'sale',
		on: '1996-09-01',
		house: 'Gull',
		...more
	}
});
const ladder = (points: readonly PricePoint[], more: Partial<LadderGround> = {}) =>
	gradeLadder({
		cards: ['a', 'b', 'c', 'd'].map((version) => ({ version, isKey: version === 'a' })),
		columns: [{ condition: 'near mint' }, { grade: 7 }, { grade: 8 }, { grade: 9 }],
		...{
			points,
			populations: [],
			house: null,
			on: '1996-10-06',
			rules: USUAL_ESTIMATE_RULES,
			jump: USUAL_JUMP
		},
		rank: { column: '8', top: 2, nearShare: 0.8 },
		...more
	});

describe('the grade ladder', () => {
	const points = [
		sale('a', 8, 1000),
		sale('b', 8, 500),
		sale('c', 8, 400),
		sale('d', 8, 450, { on: '1990-01-01' }),
		sale('a', 7, 600),
		sale('a', 9, 5000),
		sale('c', 7, 450, { house: 'Tern' }),
		sale('c', 7, 350)
	];
	test('ranked at a grade: the top, those that nearly made it, also by an old sale; places at the other grades', () => {
		const { rows, columns } = ladder(points);
		expect(
			rows.map(({ version, standing, cells }) => [
				version,
				standing,
				cells[2]?.rank,
				cells[1]?.rank
			])
		).toEqual([
			['a', 'top', 1, 1],
			['b', 'top', 2, null],
			['c', 'near miss', 3, 2],
			['d', 'near miss', null, null]
		]);
		expect(columns[2]).toMatchObject({
			label: '8',
			priced: 3,
			totalMinor: 1900,
			keyShare: 1000 / 1900,
			topShare: 1500 / 1900
		});
		expect(rows[2]?.cells[1]).toMatchObject({
			priceMinor: 400,
			lowMinor: 350,
			highMinor: 450,
			isMixed: true
		});
		expect(
			ladder(points, { house: 'Tern' }).rows.find(({ version }) => version === 'c')?.cells[1]
		).toMatchObject({ priceMinor: 450, isMixed: false });
	});

	test('● empty cells are of different kinds', () => {
		const { rows } = ladder(points, {
			populations: [
				{
					version: 'd',
					house: 'Gull',
					on: '1996-01-01',
					counts: [
						{ grade: 9, count: 3 },
						{ grade: 8, count: 1 }
					]
				},
				{ version: 'd', house: 'Gull', on: '1995-01-01', counts: [{ grade: 7, count: 9 }] }
			]
		});
		const d = rows.find(({ version }) => version === 'd');
		expect(d?.cells.map(({ label, empty, graded }) => [label, empty, graded])).toEqual([
			['near mint', 'not known', null],
			['7', 'none graded', 0],
			['8', 'sold long ago', 1],
			['9', 'never sold', 3]
		]);
		expect(d?.cells[2]).toMatchObject({
			priceMinor: null,
			lastSale: { lowMinor: 450, on: '1990-01-01', house: 'Gull' }
		});
	});

	test('steps, the jump and the best to buy before it', () => {
		const [a] = ladder(points).rows;
		expect(
			a?.steps.map(({ from, to, addsMinor, isJump, isThin }) => [
				from,
				to,
				addsMinor,
				isJump,
				isThin
			])
		).toEqual([
			['7', '8', 400, false, true],
			['8', '9', 4000, true, true]
		]);
		expect(a?.bestToBuy).toBe('8');
		expect(ladder(points, { jump: 1.5 }).rows[0]?.bestToBuy).toBe('7');
		expect(ladder([]).rows.map(({ bestToBuy, standing }) => [bestToBuy, standing])).toEqual(
			Array(4).fill([null, 'no price'])
		);
	});
});
