import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { adviseShelves } from './advise-shelves.ts';
import { arrangeShelf } from './arrange-shelf.ts';
import { inWalkingOrder } from './shelf.ts';

const shelf = (level: number, more: { lengthMm?: number; ratingG?: number | null } = {}) => ({
	key: `s${level}`,
	room: 'Basement',
	unit: 'Rack A',
	level,
	lengthMm: 1000,
	ratingG: null,
	...more
});
const box = (key: string, grams: number, on: string | null) => ({
	key,
	grams,
	lengthMm: 465,
	shelf: on
});

describe('shelves', () => {
	test('are walked room by room, unit by unit, from the top down; units count as people do', () => {
		const at = (room: string, unit: string, level: number) => ({ room, unit, level });
		const walk = inWalkingOrder([
			at('B', 'Rack 10', 1),
			at('B', 'Rack 9', 1),
			at('A', 'X', 1),
			at('B', 'Rack 9', 3)
		]);
		expect(walk.map(({ unit, level }) => `${unit} ${level}`)).toEqual([
			'X 1',
			'Rack 9 3',
			'Rack 9 1',
			'Rack 10 1'
		]);
	});

	test('● what is on no board of its own stands on one between: a board for each stacked box', () => {
		const boxes = ['a', 'b', 'c'].map((key) => ({ key, lengthMm: 465 }));
		expect(arrangeShelf(boxes, 1000)).toMatchObject({ layers: 2, boards: 1, tooLong: [] });
		expect(arrangeShelf(boxes, 400)).toMatchObject({ layers: 3, tooLong: ['a', 'b', 'c'] });
		expect(arrangeShelf([], 400)).toMatchObject({ layers: 0, boards: 0 });
		expect(() => arrangeShelf(boxes, 0)).toThrow('0 mm');
	});

	test.each([
		[
			'a heavy box up high goes to the lowest shelf',
			[box('h', 9600, 's4')],
			undefined,
			[['h', 's4', 's1']]
		],
		['one that stands low stays', [box('h', 9600, 's2')], undefined, []],
		['a light one stays where it is', [box('l', 800, 's4')], undefined, []],
		[
			'a low shelf that does not bear it is passed over',
			[box('h', 9600, 's4')],
			9000,
			[['h', 's4', 's2']]
		],
		[
			'new ones: heavy low, light high',
			[box('l', 800, null), box('h', 9600, null)],
			undefined,
			[
				['h', null, 's1'],
				['l', null, 's3']
			]
		]
	] as const)('%s', (_, boxes, ratingG, moves) => {
		const shelves = [shelf(4), shelf(3), shelf(2), shelf(1, { ratingG: ratingG ?? null })];
		const { advice } = adviseShelves(boxes, shelves);
		expect(advice.map(({ box: key, from, to }) => [key, from, to])).toEqual(moves);
	});

	test('for all rooms: advice never overloads a shelf that has a rating, nor one by length', () => {
		const rooms = fc.record({
			shelves: fc.array(
				fc.record({
					lengthMm: fc.integer({ min: 300, max: 2000 }),
					ratingG: fc.option(fc.integer({ min: 1, max: 40_000 }))
				}),
				{ minLength: 1, maxLength: 5 }
			),
			boxes: fc.array(fc.integer({ min: 100, max: 25_000 }), { maxLength: 12 })
		});
		fc.assert(
			fc.property(rooms, ({ shelves, boxes }) => {
				const all = shelves.map((rating, i) => ({ ...shelf(i + 1, rating) }));
				const { advice } = adviseShelves(
					boxes.map((grams, i) => box(`b${i}`, grams, null)),
					all
				);
				for (const { key, ratingG, lengthMm } of all) {
					const arriving = advice.filter(({ to }) => to === key);
					const load = arriving.reduce(
						(sum, step) => sum + (boxes[Number(step.box.slice(1))] ?? 0),
						0
					);
					expect(load).toBeLessThanOrEqual(ratingG ?? Infinity);
					expect(arriving.length * 465).toBeLessThanOrEqual(Math.max(lengthMm, 0));
				}
			})
		);
	});

	test('three boxes of 9.5 kg on a shelf for 20: one goes, to where it is borne; nowhere else is told', () => {
		const boxes = ['a', 'b', 'c'].map((key) => box(key, 9500, 's1'));
		const two = [shelf(1, { ratingG: 20_000, lengthMm: 2000 }), shelf(4, { ratingG: 10_000 })];
		expect(adviseShelves(boxes, two)).toMatchObject({
			advice: [{ box: 'a', from: 's1', to: 's4', rule: /bears less/ }],
			overloaded: []
		});
		expect(adviseShelves(boxes, two.slice(0, 1))).toEqual({
			advice: [],
			overloaded: [{ shelf: 's1', overG: 8500 }]
		});
	});

	test('for all rooms as they stand: no shelf stays over its rating while another bears a box of it', () => {
		const rooms = fc.record({
			shelves: fc.array(
				fc.record({
					lengthMm: fc.integer({ min: 465, max: 3000 }),
					ratingG: fc.option(fc.integer({ min: 1000, max: 40_000 }))
				}),
				{ minLength: 1, maxLength: 5 }
			),
			boxes: fc.array(
				fc.record({ grams: fc.integer({ min: 100, max: 15_000 }), on: fc.nat({ max: 4 }) }),
				{ maxLength: 14 }
			)
		});
		fc.assert(
			fc.property(rooms, ({ shelves, boxes }) => {
				const all = shelves.map((rating, i) => shelf(i + 1, rating));
				const standing = boxes.map(({ grams, on }, i) =>
					box(`b${i}`, grams, `s${(on % shelves.length) + 1}`)
				);
				const { advice, overloaded } = adviseShelves(standing, all);
				const place = new Map(standing.map(({ key, shelf: on }) => [key, on]));
				for (const { box: key, from, to } of advice) {
					expect(place.get(key)).toBe(from);
					place.set(key, to);
				}
				const on = (key: string) => standing.filter((heavy) => place.get(heavy.key) === key);
				const loadOf = (key: string) => on(key).reduce((sum, { grams }) => sum + grams, 0);
				const over = all.flatMap(({ key, ratingG }) =>
					loadOf(key) > (ratingG ?? Infinity)
						? [{ shelf: key, overG: loadOf(key) - (ratingG ?? 0) }]
						: []
				);
				expect(overloaded).toEqual(over);
				for (const { shelf: key } of over) {
					for (const heavy of on(key)) {
						const takers = all.filter(
							(other) =>
								other.key !== key &&
								loadOf(other.key) + heavy.grams <= (other.ratingG ?? Infinity) &&
								(on(other.key).length + 1) * 465 <= other.lengthMm
						);
						expect(takers).toEqual([]);
					}
				}
			}),
			{ numRuns: 300 }
		);
	});
});
