import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { addToRows, type MarkedRun } from '../plan/add-to-rows.ts';
import { respaceSlip, type StandingRun } from './respace-slip.ts';
import { compareMarks } from '../plan/school.ts';
import { standCards } from '../plan/stand-cards.ts';
import { takeStock } from '../stock-take/take-stock.ts';

const runs = fc.array(
	fc.record({ um: fc.integer({ min: 1, max: 60 }), mark: fc.integer({ min: 0, max: 30 }) }),
	{ maxLength: 12 }
);

describe('rows that stand', () => {
	test('for all new runs: they stand in order, fit, move nothing, and none with room is left', () => {
		fc.assert(
			fc.property(runs, runs, (old, fresh) => {
				const named = (some: typeof old, name: string): MarkedRun[] =>
					some.map(({ um, mark }, i) => ({ key: `${name}${i}`, um, marks: [String(mark)] }));
				const standing = named(old, 'old').sort((a, b) => compareMarks(a.marks, b.marks));
				const rows = [standing.slice(0, 4), standing.slice(4, 8), standing.slice(8)].map(
					(inRow, i) => ({
						key: `r${i}`,
						rowUm: Math.max(
							100,
							inRow.reduce((sum, { um }) => sum + um, 0)
						),
						runs: inRow
					})
				);
				const added = named(fresh, 'new');
				const { placed, left } = addToRows(rows, added);
				expect(placed.length + left.length).toBe(added.length);
				const after = rows.map(({ key, runs }) => ({ key, standing: [...runs] }));
				for (const { run, row, at } of placed) {
					const found = added.find(({ key }) => key === run);
					if (found) after.find(({ key }) => key === row)?.standing.splice(at, 0, found);
				}
				after.forEach(({ standing }, i) => {
					expect(standing.reduce((sum, { um }) => sum + um, 0)).toBeLessThanOrEqual(
						rows[i]?.rowUm ?? 0
					);
					expect(standing.filter(({ key }) => key.startsWith('old'))).toEqual(rows[i]?.runs);
				});
				const marks = after.flatMap(({ standing }) => standing.map((run) => Number(run.marks[0])));
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
					const all = shares.reduce((sum, share) => sum + share, 0);
					// As much room as there are cards, and one card more in each part: what the plan keeps free.
					const room = shares.map((share) => (length * share) / all + 1457);
					const named = cards.map((drawnCard, key) => ({ ...drawnCard, key }));
					const parts = standCards(named, room);
					const dealt = parts
						.flat()
						.flatMap(({ key, quantity }) => Array<number>(quantity).fill(key));
					expect(dealt).toEqual(
						named.flatMap(({ key, quantity }) => Array<number>(quantity).fill(key))
					);
					parts.forEach((part, i) => {
						const um = part.reduce((sum, each) => sum + each.quantity * each.um, 0);
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
		expect(respaceSlip([[run('a', 5)], [run('b', 5)]], 60)).toEqual({ fits: true, slip: null });
		expect(respaceSlip([[run('a', 20)], [run('b', 20)]], 60)).toEqual({ fits: false, slip: null });
		const { slip } = respaceSlip([[run('a', 5), run('b', 3)], [run('c', 3)], []], 60);
		// b and c are 62 together: c has to go on, too.
		expect(slip).toMatchObject({
			row: 0,
			overUm: 22,
			steps: [
				{ run: 'c', from: 1, to: 2 },
				{ run: 'b', from: 0, to: 1 }
			]
		});
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
					const rows = sizes.map((counts) => counts.map((count) => run(`r${n++}-`, count)));
					const { slip } = respaceSlip(rows, 120);
					if (!slip) return;
					const place = new Map(
						rows.flatMap((inRow, row) =>
							inRow.flatMap(({ cards }) => cards.map(({ key }) => [key, row] as const))
						)
					);
					for (const { cards, from, to } of slip.steps) {
						for (const key of cards) {
							expect(place.get(key)).toBe(from);
							place.set(key, to);
						}
					}
					// No row is too full then, and a run pays its divider in every row it stands in.
					const used = rows.map(() => 0);
					for (const { key, dividerUm, cards } of rows.flat()) {
						const rowsOfRun = new Set(cards.map((card) => place.get(card.key) ?? 0));
						for (const row of rowsOfRun) used[row] = (used[row] ?? 0) + dividerUm;
						for (const card of cards) {
							const row = place.get(card.key) ?? 0;
							used[row] = (used[row] ?? 0) + card.um;
						}
						expect(key).toBeTruthy();
					}
					for (const row of new Set([slip.row, ...slip.steps.map(({ to }) => to)])) {
						expect(used[row]).toBeLessThanOrEqual(120);
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
