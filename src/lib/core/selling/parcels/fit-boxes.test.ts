import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fitBoxes, type FitBox } from './fit-boxes.ts';
import { turnedWays, type Sides } from './turned-box.ts';

const box = (key: string, [lengthMm, widthMm, heightMm]: Sides): FitBox => ({
	...{ key, lengthMm, widthMm, heightMm, turning: 'any' }
});
const size = ([lengthMm, widthMm, heightMm]: Sides) => ({ lengthMm, widthMm, heightMm });

/** Every way to lie at every whole place, in a grid of cells: slow, and without any thought. */
function goes(boxes: readonly FitBox[], [l, w, h]: Sides): boolean {
	const cells = new Uint8Array(l * w * h);
	const cellsOf = (x: number, y: number, z: number, [a, b, c]: Sides) => {
		const all: number[] = [];
		for (let i = x; i < x + a; i++)
			for (let j = y; j < y + b; j++) for (let k = z; k < z + c; k++) all.push((i * w + j) * h + k);
		return all;
	};
	const add = (n: number): boolean => {
		const next = boxes[n];
		if (!next) return true;
		for (const way of turnedWays(next, next.turning))
			for (let x = 0; x + way[0] <= l; x++)
				for (let y = 0; y + way[1] <= w; y++)
					for (let z = 0; z + way[2] <= h; z++) {
						const all = cellsOf(x, y, z, way);
						if (all.some((cell) => cells[cell])) continue;
						for (const cell of all) cells[cell] = 1;
						if (add(n + 1)) return true;
						for (const cell of all) cells[cell] = 0;
					}
		return false;
	};
	return add(0);
}

function expectHeld(boxes: readonly FitBox[], parcel: Sides) {
	const { verdict, placements } = fitBoxes(boxes, size(parcel));
	expect(verdict).toBe('fits');
	expect(placements.map(({ key }) => key).sort()).toEqual(boxes.map(({ key }) => key).sort());
	for (const [i, a] of placements.entries()) {
		const of = boxes.find(({ key }) => key === a.key);
		const sides = [a.alongMm, a.acrossMm, a.uprightMm];
		expect(turnedWays(of ?? box('', [0, 0, 0]), of?.turning ?? 'any')).toContainEqual(sides);
		expect(
			[a.xMm, a.yMm, a.zMm].every((at, n) => at >= 0 && at + (sides[n] ?? 0) <= parcel[n as 0])
		).toBe(true);
		for (const b of placements.slice(i + 1)) {
			const isApart =
				a.xMm + a.alongMm <= b.xMm ||
				b.xMm + b.alongMm <= a.xMm ||
				a.yMm + a.acrossMm <= b.yMm ||
				b.yMm + b.acrossMm <= a.yMm ||
				a.zMm + a.uprightMm <= b.zMm ||
				b.zMm + b.uprightMm <= a.zMm;
			expect(isApart).toBe(true);
		}
	}
}

describe('boxes in a parcel', () => {
	const side = fc.integer({ min: 1, max: 4 });
	test('for all small boxes: fits exactly where trying every place does, and the packing holds', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(side, side, side), { minLength: 1, maxLength: 5 }),
				fc.tuple(side, side, fc.integer({ min: 2, max: 5 })),
				(some, parcel) => {
					const boxes = some.map((each, i) => box(`${i}`, each));
					if (goes(boxes, parcel)) expectHeld(boxes, parcel);
					else expect(fitBoxes(boxes, size(parcel)).verdict).toBe('does not fit');
				}
			),
			{ numRuns: Number(process.env.JADE_FUZZ_RUNS ?? 120) }
		);
	});

	test.each<[string, readonly Sides[], Sides, string]>([
		['nothing', [], [1, 1, 1], 'fits'],
		['a box as large as the parcel, turned', [[3, 2, 1]], [1, 3, 2], 'fits'],
		['a box too long in every way', [[4, 1, 1]], [3, 3, 3], 'does not fit'],
		// Conway's puzzle: six 1 × 2 × 2 and three single cubes make 3 × 3 × 3, in one way only.
		[
			'six plates and three cubes in a cube of three',
			[...Array<Sides>(6).fill([1, 2, 2]), ...Array<Sides>(3).fill([1, 1, 1])],
			[3, 3, 3],
			'fits'
		],
		// Volume would allow it; no two of these go beside each other.
		[
			'two cubes of two in a cube of three',
			Array<Sides>(2).fill([2, 2, 2]),
			[3, 3, 3],
			'does not fit'
		]
	])('%s', (_, some, parcel, verdict) => {
		const boxes = some.map((each, i) => box(`${i}`, each));
		expect(fitBoxes(boxes, size(parcel)).verdict).toBe(verdict);
		if (verdict === 'fits') expectHeld(boxes, parcel);
	});

	test('a box that must stay upright is only turned about', () => {
		const upright = { ...box('a', [3, 2, 1]), turning: 'upright' as const };
		expect(fitBoxes([upright], size([2, 3, 1])).verdict).toBe('fits');
		expect(fitBoxes([upright], size([3, 1, 2])).verdict).toBe('does not fit');
	});

	test('it says so when it gives up', () => {
		const boxes = Array.from({ length: 10 }, (_, i) => box(`${i}`, [31 + i, 23 + i, 17 + i]));
		expect(fitBoxes(boxes, size([70, 65, 60]), 20)).toMatchObject({
			verdict: 'gave up',
			placements: []
		});
	});

	test('sixty small boxes go in at once, and one more than there is room for is told in time', () => {
		const boxes = (count: number) =>
			Array.from({ length: count }, (_, i) => box(`${i}`, [40, 30, 20]));
		expectHeld(boxes(60), [200, 120, 60]);
		expect(fitBoxes(boxes(61), size([200, 120, 60])).verdict).toBe('does not fit');
		// Room by volume, none by shape: it may give up, and does so in time.
		expect(fitBoxes(boxes(58), size([199, 119, 66])).verdict).not.toBe('fits');
	});
});
