import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BOX_KINDS } from '../../storage/kinds/box-kind.ts';
import { cheapestParcels, type ParcelBox, type ParcelKind } from './cheapest-parcels.ts';
import { fitBoxes } from './fit-boxes.ts';

const parcel = (
	key: string,
	[l, w, h]: readonly number[],
	priceMinor: number,
	mostGrams = 22_600
): ParcelKind => ({
	...{ key, lengthMm: l ?? 1, widthMm: w ?? 1, heightMm: h ?? 1, mostGrams, tareGrams: 0 },
	rates: [{ upToGrams: mostGrams, priceMinor }]
});
const cards = (key: '550' | '800', quantity: number): ParcelBox => {
	const kind = BOX_KINDS.find((each) => each.key === key);
	if (!kind) throw new RangeError(key);
	const { lengthMm, widthMm, heightMm, nominalCount, tareG } = kind;
	const grams = Math.round(nominalCount * 1.8 + tareG);
	return { key, lengthMm, widthMm, heightMm, turning: 'any', grams, quantity };
};

describe('boxes to a buyer', () => {
	// ● Three 550-count boxes in a medium parcel; five in the long flat one; two 800s and one or two 550s. Common practice, no
	// source; the parcels' sizes are ours, as our boxes are.
	const medium = parcel('medium', [285, 245, 145], 1500);
	const long = parcel('long flat', [600, 300, 82], 2000);
	test.each<[string, readonly ParcelBox[], ParcelKind, boolean]>([
		['three 550s in the medium', [cards('550', 3)], medium, true],
		['four 550s in the medium', [cards('550', 4)], medium, false],
		['five 550s in the long flat', [cards('550', 5)], long, true],
		['two 800s and two 550s in the long flat', [cards('800', 2), cards('550', 2)], long, true]
	])('● %s: %#', (_, boxes, kind, fits) => {
		const plan = cheapestParcels(boxes, [kind]);
		expect(plan.parcels.length === 1).toBe(fits);
		expect(plan.isProven).toBe(true);
	});

	test('for all small boxes: the cheapest of all ways to part them, tried one after another', () => {
		const side = fc.integer({ min: 1, max: 4 });
		fc.assert(
			fc.property(
				fc.array(fc.tuple(side, side, side, fc.integer({ min: 1, max: 9 })), {
					minLength: 1,
					maxLength: 4
				}),
				fc.array(fc.tuple(side, side, side, fc.integer({ min: 1, max: 9 })), {
					minLength: 1,
					maxLength: 2
				}),
				(some, kinds) => {
					const boxes = some.map(([lengthMm, widthMm, heightMm, grams], i): ParcelBox => ({
						...{ key: `${i}`, lengthMm, widthMm, heightMm, grams, turning: 'any', quantity: 1 }
					}));
					const parcels = kinds.map(([l, w, h, price], i) => parcel(`${i}`, [l, w, h], price, 14));
					const single = (part: readonly ParcelBox[]) =>
						Math.min(
							...parcels.flatMap((kind) => {
								const weight = part.reduce((all, { grams }) => all + grams, 0);
								const goes = weight <= 14 && fitBoxes(part, kind).verdict === 'fits';
								return goes ? [kind.rates[0]?.priceMinor ?? 0] : [];
							}),
							Infinity
						);
					/** Puts each box into a part that is there or a new one. */
					const cheapest = (
						left: readonly ParcelBox[],
						parts: readonly (readonly ParcelBox[])[]
					): number => {
						const [next, ...rest] = left;
						if (!next) return parts.reduce((all, part) => all + single(part), 0);
						return Math.min(
							cheapest(rest, [...parts, [next]]),
							...parts.map((part, i) =>
								cheapest(
									rest,
									parts.map((each, j) => (i === j ? [...part, next] : each))
								)
							)
						);
					};
					const goes = boxes.filter((each) => single([each]) < Infinity);
					const plan = cheapestParcels(boxes, parcels);
					expect(plan.totalMinor).toBe(cheapest(goes, []));
					expect(plan.left.length).toBe(boxes.length - goes.length);
					expect(plan.parcels.reduce((all, { priceMinor }) => all + priceMinor, 0)).toBe(
						plan.totalMinor
					);
					expect(plan.parcels.reduce((all, { placements }) => all + placements.length, 0)).toBe(
						goes.length
					);
				}
			),
			{ numRuns: 150 }
		);
	});

	test('nothing costs nothing; what is too heavy is left and said', () => {
		expect(cheapestParcels([], [medium])).toMatchObject({ parcels: [], totalMinor: 0, left: [] });
		const heavy = { ...cards('550', 2), grams: 30_000 };
		expect(cheapestParcels([heavy], [medium])).toMatchObject({
			parcels: [],
			left: [{ box: '550', quantity: 2 }]
		});
	});

	test('a rate by weight: a third box can cost more than a parcel of its own', () => {
		const bands = {
			...medium,
			rates: [
				{ upToGrams: 2500, priceMinor: 500 },
				{ upToGrams: 9000, priceMinor: 1500 }
			]
		};
		const plan = cheapestParcels([cards('550', 3)], [bands]);
		expect(plan.totalMinor).toBe(1000);
		expect(plan.parcels.map(({ counts }) => counts[0]?.quantity).sort()).toEqual([1, 2]);
	});
});
