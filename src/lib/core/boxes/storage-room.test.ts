import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { addToRows, type MarkedRun } from './add-to-rows.ts';
import { adviseShelves } from './advise-shelves.ts';
import { arrangeShelf } from './arrange-shelf.ts';
import { freeName } from './free-name.ts';
import { boxLabel, dividerTab, shelfTag } from './label-text.ts';
import { respaceSlip, type StandingRun } from './respace-slip.ts';
import { compareMarks } from './school.ts';
import { inWalkingOrder } from './shelf.ts';
import { standCards } from './stand-cards.ts';
import { takeStock } from './take-stock.ts';
import { holdersToBuy, tierMoves } from './tier-moves.ts';
import { USUAL_TIERS } from './choose-holder.ts';
import { useOfCopy } from './use-of-copy.ts';

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
		const advice = adviseShelves(boxes, shelves);
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
				const all = shelves.map((one, i) => ({ ...shelf(i + 1, one) }));
				const advice = adviseShelves(
					boxes.map((grams, i) => box(`b${i}`, grams, null)),
					all
				);
				for (const { key, ratingG, lengthMm } of all) {
					const own = advice.filter(({ to }) => to === key);
					const load = own.reduce((sum, one) => sum + (boxes[Number(one.box.slice(1))] ?? 0), 0);
					expect(load).toBeLessThanOrEqual(ratingG ?? Infinity);
					expect(own.length * 465).toBeLessThanOrEqual(Math.max(lengthMm, 0));
				}
			})
		);
	});
});

const runs = fc.array(
	fc.record({ um: fc.integer({ min: 1, max: 60 }), mark: fc.integer({ min: 0, max: 30 }) }),
	{ maxLength: 12 }
);

describe('rows that stand', () => {
	test('for all new runs: they stand in order, fit, move nothing, and none with room is left', () => {
		fc.assert(
			fc.property(runs, runs, (there, fresh) => {
				const named = (some: typeof there, name: string): MarkedRun[] =>
					some.map(({ um, mark }, i) => ({ key: `${name}${i}`, um, marks: [String(mark)] }));
				const standing = named(there, 'old').sort((a, b) => compareMarks(a.marks, b.marks));
				const rows = [standing.slice(0, 4), standing.slice(4, 8), standing.slice(8)].map(
					(own, i) => ({
						key: `r${i}`,
						rowUm: Math.max(
							100,
							own.reduce((sum, { um }) => sum + um, 0)
						),
						runs: own
					})
				);
				const added = named(fresh, 'new');
				const { placed, left } = addToRows(rows, added);
				expect(placed.length + left.length).toBe(added.length);
				const after = rows.map(({ key, runs: own }) => ({ key, own: [...own] }));
				for (const { run, row, at } of placed) {
					const found = added.find(({ key }) => key === run);
					if (found) after.find(({ key }) => key === row)?.own.splice(at, 0, found);
				}
				after.forEach(({ own }, i) => {
					expect(own.reduce((sum, { um }) => sum + um, 0)).toBeLessThanOrEqual(rows[i]?.rowUm ?? 0);
					expect(own.filter(({ key }) => key.startsWith('old'))).toEqual(rows[i]?.runs);
				});
				const marks = after.flatMap(({ own }) => own.map((run) => Number(run.marks[0])));
				expect(marks).toEqual([...marks].sort((a, b) => a - b));
			})
		);
	});

	test('for all sets dealt over parts: every card once, in order, no part over its room but the last', () => {
		const card = fc.record({
			quantity: fc.integer({ min: 1, max: 6 }),
			um: fc.constantFrom(381, 457, 1457)
		});
		fc.assert(
			fc.property(
				fc.array(card, { minLength: 1, maxLength: 60 }),
				fc.array(fc.integer({ min: 1, max: 10 }), { minLength: 1, maxLength: 4 }),
				(cards, shares) => {
					const length = cards.reduce((sum, { quantity, um }) => sum + quantity * um, 0);
					const all = shares.reduce((sum, one) => sum + one, 0);
					// As much room as there are cards, and one card more in each part: what the plan keeps free.
					const room = shares.map((one) => (length * one) / all + 1457);
					const named = cards.map((one, key) => ({ ...one, key }));
					const parts = standCards(named, room);
					const dealt = parts
						.flat()
						.flatMap(({ key, quantity }) => Array<number>(quantity).fill(key));
					expect(dealt).toEqual(
						named.flatMap(({ key, quantity }) => Array<number>(quantity).fill(key))
					);
					parts.forEach((part, i) => {
						const um = part.reduce((sum, one) => sum + one.quantity * one.um, 0);
						expect(um).toBeLessThanOrEqual((room[i] ?? 0) + 1e-6);
					});
				}
			)
		);
		expect(standCards([], [10])).toEqual([[]]);
	});

	const run = (key: string, count: number): StandingRun => ({
		key,
		dividerUm: 1,
		cards: Array.from({ length: count }, (_, i) => ({ key: `${key}${i}`, um: 10 }))
	});

	test('a row that is too full hands its last cards to the next, the farthest first', () => {
		expect(respaceSlip([[run('a', 5)], [run('b', 5)]], 60)).toBeNull();
		expect(respaceSlip([[run('a', 20)], [run('b', 20)]], 60)).toBeUndefined();
		const slip = respaceSlip([[run('a', 5), run('b', 3)], [run('c', 3)], []], 60);
		expect(slip).toMatchObject({ row: 0, overUm: 22, steps: [{ run: 'b', from: 0, to: 1 }] });
	});

	test('for all boxes: after the steps every card stands once, and what moved went where it should', () => {
		fc.assert(
			fc.property(
				fc.array(fc.array(fc.integer({ min: 1, max: 6 }), { maxLength: 4 }), {
					minLength: 2,
					maxLength: 4
				}),
				(sizes) => {
					let n = 0;
					const rows = sizes.map((own) => own.map((count) => run(`r${n++}-`, count)));
					const slip = respaceSlip(rows, 120);
					if (!slip) return;
					const place = new Map(
						rows.flatMap((own, row) =>
							own.flatMap(({ cards }) => cards.map(({ key }) => [key, row] as const))
						)
					);
					for (const { cards, from, to } of slip.steps) {
						for (const key of cards) {
							expect(place.get(key)).toBe(from);
							place.set(key, to);
						}
					}
					// Rows hold whole runs in order: a card never comes before one that stood before it.
					const before = [...place.values()];
					expect(before).toEqual([...before].sort((a, b) => a - b));
				}
			)
		);
	});
});

describe('takeStock', () => {
	test.each([
		[
			'as recorded',
			[
				['a', 1],
				['b', 3]
			],
			[
				['a', 1],
				['b', 1]
			],
			[]
		],
		[
			'one is not there',
			[
				['a', 1],
				['b', 3]
			],
			[['b', 1]],
			[['a', 1, 'not there']]
		],
		['a count is taken at its word', [['b', 3]], [['b', 2]], [['b', 1, 'not there']]],
		['more than recorded', [['b', 1]], [['b', 4]], [['b', 3, 'not recorded']]],
		['nothing recorded', [], [['c', 1]], [['c', 1, 'not recorded']]]
	] as const)('%s', (_, recorded, found, differences) => {
		const lines = (some: readonly (readonly [string, number])[]) =>
			some.map(([version, quantity]) => ({ version, quantity }));
		expect(takeStock(lines(recorded), lines(found))).toEqual(
			differences.map(([version, quantity, sort]) => ({ version, quantity, sort }))
		);
	});
});

describe('holders and uses', () => {
	test('values and names move cards up and down, another thickness refits; sleeves come with rigid ones', () => {
		const card = (key: string, valueMinor: number, holder: string | null, stockPt = 18) => ({
			key,
			quantity: 1,
			valueMinor,
			holder,
			format: { stockPt },
			words: [key, 'Keepers’ Dogs']
		});
		const cards = [
			card('up', 150, null),
			card('down', 60, 'top-loader-35'),
			card('refit', 300, 'top-loader-35', 60),
			card('right', 2500, 'magnetic-35'),
			card('slab', 9000, 'slab')
		];
		const moves = tierMoves(cards, USUAL_TIERS);
		expect(moves.map(({ card: key, direction, to }) => [key, direction, to])).toEqual([
			['refit', 'refit', 'top-loader-75'],
			['up', 'up', 'top-loader-35'],
			['down', 'down', 'sleeve']
		]);
		expect(tierMoves(cards.slice(0, 1), USUAL_TIERS, [{ word: 'DOGS', tier: 'best' }])[0]?.to).toBe(
			'magnetic-35'
		);
		expect(holdersToBuy(moves, { 'top-loader-35': 3 })).toEqual([
			{ holder: 'sleeve', needed: 2, buy: 2 },
			{ holder: 'top-loader-35', needed: 1, buy: 0 },
			{ holder: 'top-loader-75', needed: 1, buy: 1 }
		]);
	});

	test('● kept apart: graded, personal, to sell, valuables; common practice, no source', () => {
		const plain = {
			status: 'kept',
			isGraded: false,
			isPersonal: false,
			holder: null,
			isValuable: false
		} as const;
		expect(useOfCopy(plain)).toBe('sets');
		expect(useOfCopy({ ...plain, holder: 'sleeve' })).toBe('sets');
		expect(useOfCopy({ ...plain, holder: 'top-loader-35' })).toBe('valuables');
		expect(useOfCopy({ ...plain, isValuable: true })).toBe('valuables');
		expect(useOfCopy({ ...plain, status: 'to sell' })).toBe('to sell');
		expect(useOfCopy({ ...plain, isPersonal: true, isValuable: true })).toBe('personal');
		expect(useOfCopy({ ...plain, isGraded: true, isPersonal: true })).toBe('graded');
	});
});

describe('labels', () => {
	const set = {
		name: 'Harbour Lights 1994',
		have: 236,
		total: 240,
		missing: ['11', '12', '13', '97'],
		elsewhere: [{ place: 'Bank box', numbers: ['201'] }]
	};

	test('● a box says have of total, what is missing as runs, what is kept elsewhere; common practice, no source', () => {
		expect(
			boxLabel({ name: 'HL', isForSets: true, link: 'http://x/boxes/1' }, [set], '1996-10-06')
		).toEqual({
			title: 'Harbour Lights 1994',
			lines: ['HL · 236 of 240 · 1996-10-06', 'Missing: 11–13, 97', 'Bank box: 201'],
			link: 'http://x/boxes/1'
		});
		const many = boxLabel(
			{ name: 'Long box 4', isForSets: true },
			[set, set, set, set],
			'1996-10-06'
		);
		expect(many.lines).toHaveLength(5);
		expect(boxLabel({ name: 'Empty', isForSets: true }, [], '1996-10-06')).toEqual({
			title: 'Empty',
			lines: ['1996-10-06']
		});
		expect(boxLabel({ name: 'Graded 1', isForSets: false }, [set], '1996-10-06').lines).toEqual([
			'Harbour Lights 1994',
			'1996-10-06'
		]);
	});

	test('a tab says from which number to which, a tag what its shelf bears', () => {
		const at = { box: 'Long box 4', row: 2 };
		expect(dividerTab('HL', ['1', '2', '60'], at)).toEqual({
			title: 'HL',
			lines: ['1–60', 'Long box 4, row 2']
		});
		expect(dividerTab('HL', ['7'], at).lines[0]).toBe('7');
		expect(dividerTab('HL', [], at).lines).toEqual(['Long box 4, row 2']);
		expect(shelfTag(shelf(2, { ratingG: 60_000 }), ['A', 'B'])).toEqual({
			title: 'Basement: Rack A, shelf 2',
			lines: ['A, B', 'bears 60 kg, says its maker']
		});
		expect(freeName('Long box', new Set(['Long box 1']), 1)).toBe('Long box 2');
		expect(freeName('A', new Set())).toBe('A');
	});
});
