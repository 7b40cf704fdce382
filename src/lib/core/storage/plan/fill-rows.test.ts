import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fillRows, type RowRun } from './fill-rows.ts';

/** Every way to stand runs: each begins where the last ended, in the next row, or in the next box. */
function bestByForce(runs: readonly RowRun[], rowUm: number, rowsABox: number): readonly number[] {
	let best: readonly number[] | null = null;
	const go = (i: number, at: number, overBoxes: number, overRows: number) => {
		const run = runs[i];
		if (!run) {
			const rows = Math.ceil(at / rowUm);
			const cost = [Math.ceil(rows / rowsABox), overBoxes, overRows, rows];
			if (!best || less(cost, best)) best = cost;
			return;
		}
		const starts = new Set([
			at,
			Math.ceil(at / rowUm) * rowUm,
			Math.ceil(at / (rowUm * rowsABox)) * rowUm * rowsABox
		]);
		for (const start of starts) {
			const end = start + run.um;
			const first = Math.floor(start / rowUm);
			const last = Math.max(first, Math.ceil(end / rowUm) - 1);
			const boxes = Math.floor(last / rowsABox) - Math.floor(first / rowsABox);
			go(i + 1, end, overBoxes + (boxes > 0 ? 1 : 0), overRows + (last - first > boxes ? 1 : 0));
		}
	};
	go(0, 0, 0, 0);
	return best ?? [];
}
const less = (a: readonly number[], b: readonly number[]) => {
	const by = a.map((value, i) => value - (b[i] ?? 0)).find((difference) => difference !== 0);
	return by !== undefined && by < 0;
};

describe('fillRows', () => {
	const runs = (...lengths: number[]): RowRun[] => lengths.map((um, i) => ({ key: String(i), um }));
	test.each([
		['nothing', [], [], []],
		['a row holds them', [4, 6], [['0 4', '1 6']], []],
		[
			'a whole one goes into the next row while the box has one',
			[6, 6, 3],
			[['0 6'], ['1 6', '2 3']],
			[]
		],
		[
			'one is broken where that saves a box',
			[6, 6, 8],
			[
				['0 6', '1 4'],
				['1 2', '2 8']
			],
			['1']
		],
		['longer than a row', [14], [['0 10'], ['0 4']], ['0']]
	] as const)('%s', (_, lengths, rows, broken) => {
		const filled = fillRows(runs(...lengths), 10, 2);
		expect(filled.rows.map((row) => row.map(({ key, um }) => `${key} ${um}`))).toEqual(rows);
		expect(filled.brokenOverRows).toEqual(broken);
	});

	test('for all small boxes: fewest boxes, then fewest broken over boxes, over rows, then rows (brute force)', () => {
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: 1, max: 14 }), { maxLength: 7 }),
				fc.integer({ min: 1, max: 3 }),
				(lengths, rowsABox) => {
					const all = runs(...lengths);
					const filled = fillRows(all, 10, rowsABox);
					const cost = [
						filled.boxes,
						filled.brokenOverBoxes.length,
						filled.brokenOverRows.length,
						filled.rows.length
					];
					expect(cost).toEqual(bestByForce(all, 10, rowsABox));
					// Everything stands, in order, and no row is too full.
					const stood = filled.rows.flat();
					for (const { key, um } of all) {
						const parts = stood.filter((part) => part.key === key);
						expect(parts.reduce((sum, part) => sum + part.um, 0)).toBe(um);
					}
					expect(stood.map(({ key }) => Number(key))).toEqual(
						[...stood.map(({ key }) => Number(key))].sort((a, b) => a - b)
					);
					for (const row of filled.rows) {
						expect(row.reduce((sum, { um }) => sum + um, 0)).toBeLessThanOrEqual(10);
					}
				}
			)
		);
	});

	test('a row without length is refused', () => {
		expect(() => fillRows([], 0, 1)).toThrow('rows of 0');
	});
});
