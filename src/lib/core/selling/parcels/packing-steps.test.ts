import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Placement } from './first-fit.ts';
import { drawingOrder, packingSteps } from './packing-steps.ts';
import { formatParcelLine, parseParcelLines } from './parcel-line.ts';

const box = (
	key: string,
	[xMm, yMm, zMm]: readonly [number, number, number],
	[alongMm, acrossMm, uprightMm]: readonly [number, number, number]
): Placement => ({ key, xMm, yMm, zMm, alongMm, acrossMm, uprightMm });

/** Boxes of a whole that is cut again and again: they never cut each other. */
const packing = fc
	.array(fc.tuple(fc.nat({ max: 30 }), fc.nat({ max: 2 }), fc.integer({ min: 1, max: 9 })), {
		maxLength: 8
	})
	.map((cuts) => {
		let all = [box('b', [0, 0, 0], [60, 40, 30])];
		for (const [which, axis, tenths] of cuts) {
			const at = which % all.length;
			const cut = all[at] as Placement;
			const side = (['alongMm', 'acrossMm', 'uprightMm'] as const)[axis] ?? 'alongMm';
			const start = (['xMm', 'yMm', 'zMm'] as const)[axis] ?? 'xMm';
			const first = Math.floor((cut[side] * tenths) / 10);
			if (first < 1 || first >= cut[side]) continue;
			const rest = { ...cut, [side]: cut[side] - first, [start]: cut[start] + first };
			all = [...all.filter((_, i) => i !== at), { ...cut, [side]: first }, rest];
		}
		return all;
	});

describe('packing to follow', () => {
	test('for all packings: no box comes before those that it stands on, and its layer is above theirs', () => {
		fc.assert(
			fc.property(packing, (boxes) => {
				const steps = packingSteps(boxes, () => undefined, { lengthMm: 60, widthMm: 40 });
				expect(steps.map(({ step }) => step)).toEqual(boxes.map((_, i) => i + 1));
				for (const a of steps) {
					for (const b of steps) {
						const isUnder =
							a.zMm + a.uprightMm <= b.zMm &&
							Math.min(a.xMm + a.alongMm, b.xMm + b.alongMm) > Math.max(a.xMm, b.xMm) &&
							Math.min(a.yMm + a.acrossMm, b.yMm + b.acrossMm) > Math.max(a.yMm, b.yMm);
						if (!isUnder) continue;
						expect(a.step).toBeLessThan(b.step);
						expect(a.layer).toBeLessThan(b.layer);
					}
				}
			})
		);
	});

	test('for all packings: what is drawn later is never wholly behind, left of or below what is drawn', () => {
		fc.assert(
			fc.property(packing, (boxes) => {
				const drawn = drawingOrder(boxes);
				expect(new Set(drawn)).toEqual(new Set(boxes));
				drawn.forEach((front, i) => {
					for (const later of drawn.slice(i + 1)) {
						// A ray to the eye from inside the later box must not run into the earlier one: along each axis towards the eye.
						const isHidden =
							later.xMm + later.alongMm <= front.xMm &&
							Math.min(later.yMm + later.acrossMm, front.yMm + front.acrossMm) >
								Math.max(later.yMm, front.yMm) &&
							Math.min(later.zMm + later.uprightMm, front.zMm + front.uprightMm) >
								Math.max(later.zMm, front.zMm);
						expect(isHidden).toBe(false);
					}
				});
			})
		);
	});

	test('a box is told to lie flat, on its side or on its end', () => {
		const size = { lengthMm: 30, widthMm: 8, heightMm: 10 };
		const floor = { lengthMm: 60, widthMm: 40 };
		const lies = [
			box('k', [0, 0, 0], [30, 8, 10]),
			box('k', [0, 8, 0], [30, 10, 8]),
			box('k', [30, 0, 0], [8, 10, 30])
		];
		expect(
			[...packingSteps(lies, () => size, floor)]
				.sort((a, b) => a.uprightMm - b.uprightMm)
				.map((step) => step.lies)
		).toEqual(['on its side', 'flat', 'on its end']);
		expect(packingSteps([], () => size, floor)).toEqual([]);
	});

	test.each<[string, readonly [number, number], readonly [number, number], string]>([
		['all of the floor', [0, 0], [60, 40], ''],
		['two thirds of the length, half of the width', [0, 0], [41, 20], 'back'],
		['a corner', [0, 0], [30, 20], 'back left'],
		['the other corner', [30, 20], [30, 20], 'front right'],
		['the middle of three', [20, 0], [20, 40], 'middle'],
		['the middle of nine', [20, 14], [20, 13], 'middle'],
		['the last of three', [40, 0], [20, 40], 'right']
	])('%s is told by its place', (_, [x, y], [along, across], at) => {
		const steps = packingSteps([box('k', [x, y, 0], [along, across, 9])], () => undefined, {
			lengthMm: 60,
			widthMm: 40
		});
		expect(steps.map((step) => step.at)).toEqual([at]);
	});
});

describe('kinds of parcel as lines', () => {
	test('for all kinds: parse(format(x)) = x', () => {
		const side = fc.integer({ min: 1, max: 5000 });
		const kind = fc.record({
			key: fc.stringMatching(/^[a-z]([a-z ]{0,10}[a-z])?$/),
			...{ lengthMm: side, widthMm: side, heightMm: side },
			mostGrams: fc.integer({ min: 1, max: 1_000_000 }),
			tareGrams: fc.integer({ min: 0, max: 900 }),
			rates: fc
				.uniqueArray(fc.integer({ min: 1, max: 30_000 }), { minLength: 1, maxLength: 5 })
				.map((weights) =>
					weights
						.sort((a, b) => a - b)
						.map((upToGrams, i) => ({ upToGrams, priceMinor: 100 + 7 * i }))
				)
		});
		fc.assert(
			fc.property(kind, (said) => {
				expect(parseParcelLines(formatParcelLine(said, 'EUR'), 'EUR')).toMatchObject({
					value: [said]
				});
			})
		);
	});

	test.each<[string, string, RegExp]>([
		['no words', 'medium', /line 1: "medium" is not understood/],
		['two sides', 'm: 1 x 2 mm, up to 5 kg; flat 3', /"1 x 2 mm" is no size/],
		['a side of nothing', 'm: 0 x 2 x 3, up to 5 kg; flat 3', /is no size/],
		['no unit', 'm: 1 x 2 x 3, up to 5; flat 3', /"5" is no weight/],
		['other money', 'm: 1 x 2 x 3, up to 5 kg; flat 3 USD', /is no amount in EUR/],
		['falling rates', 'm: 1 x 2 x 3, up to 5 kg; 2 kg 3, 1 kg 4', /do not rise/],
		['twice', 'm: 1 x 2 x 3, up to 5 kg; flat 3\nm: 1 x 2 x 3, up to 5 kg; flat 3', /twice/]
	])('%s is told', (_, text, told) => {
		const read = parseParcelLines(text, 'EUR');
		expect(read.ok ? '' : read.problems.map(({ message }) => message).join('; ')).toMatch(told);
	});
});
