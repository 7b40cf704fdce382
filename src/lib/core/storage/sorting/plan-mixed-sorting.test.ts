import { sum } from 'd3-array';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { planMixedSorting, THICK, type MixedSet } from './plan-mixed-sorting.ts';
import { sortingWays, USUAL_TIMES } from './plan-sorting.ts';

const set = (
	maker: string,
	year: string,
	name: string,
	more: Partial<MixedSet> = {}
): MixedSet => ({
	key: `${maker} ${year} ${name}`,
	maker,
	year,
	name,
	cards: 10,
	entries: 100,
	isNumbered: true,
	...more
});
const times = { cardS: 1, pileS: 5, lookS: 0.5 };

describe('a mixed pile', () => {
	test('is split by all at once where there is room, and each set by number or letters', () => {
		const plan = planMixedSorting(
			[
				set('Tern', '1961', 'Moths', { isNumbered: false, entries: 25 }),
				set('Gull', '1995', 'Lights'),
				set('Gull', '1994', 'Lights', { cards: 40 })
			],
			12,
			times
		);
		expect(plan.steps).toEqual([
			{
				of: '',
				by: ['maker', 'year'],
				cards: 60,
				piles: [
					{ name: 'Gull, 1994', cards: 40 },
					{ name: 'Gull, 1995', cards: 10 },
					{ name: 'Tern, 1961', cards: 10 }
				],
				passes: [3],
				seconds: 75
			}
		]);
		expect(plan.sets.map(({ name, order, cards }) => `${name} ${order} ${cards}`)).toEqual([
			'Lights number 40',
			'Lights number 10',
			'Moths letters 10'
		]);
		expect(plan.seconds).toBeCloseTo(
			75 +
				sum(
					plan.sets,
					(each) =>
						sortingWays(each.cards, each.order === 'letters' ? 25 : 100, 12, times)[0]?.seconds
				)
		);
	});

	test('thick cards come apart in the first dealing, or by themselves where nothing is dealt', () => {
		const [a, b] = [set('A', '1990', 'One', { thick: 3 }), set('B', '1990', 'Two', { thick: 10 })];
		const mixed = planMixedSorting([a, b], 12, times);
		expect(mixed.steps[0]).toMatchObject({
			cards: 20,
			piles: [
				{ name: 'A', cards: 7 },
				{ name: THICK, cards: 13 }
			]
		});
		// All of the second are thick: nothing of it is left to sort.
		expect(mixed.sets.map(({ name }) => name)).toEqual(['One']);
		expect(planMixedSorting([a], 12, times)).toMatchObject({
			thick: 3,
			steps: [{ by: [], cards: 10, piles: [{ cards: 7 }, { name: THICK }], seconds: 20 }]
		});
	});

	test('degenerate: nothing, a card, room for one pile; what cannot be is refused', () => {
		expect(planMixedSorting([], 5)).toEqual({ steps: [], sets: [], thick: 0, seconds: 0 });
		expect(planMixedSorting([set('A', '1', 'x', { cards: 1 })], 5)).toMatchObject({
			steps: [],
			seconds: 0
		});
		const three = ['x', 'y', 'z'].map((name) => set('A', '1', name));
		// Two come out one by one: 2 × (30 cards + a pile).
		expect(planMixedSorting(three, 1, times).steps).toMatchObject([
			{ of: 'A, 1', by: ['set'], seconds: 70 }
		]);
		for (const wrong of [{ cards: 0 }, { entries: 0 }, { thick: 11 }, { thick: -1 }]) {
			expect(() => planMixedSorting([set('A', '1', 'x', wrong)], 5)).toThrow(RangeError);
		}
		expect(() => planMixedSorting([], 0)).toThrow(RangeError);
	});

	test('for all piles no other order of dealings takes less time, by going through all of them', () => {
		const name = fc.constantFrom('a', 'b', 'c');
		const drawn = fc.uniqueArray(
			fc.record({ maker: name, year: name, name, cards: fc.integer({ min: 1, max: 60 }) }),
			{ selector: (each) => `${each.maker} ${each.year} ${each.name}`, minLength: 1, maxLength: 10 }
		);
		fc.assert(
			fc.property(drawn, fc.integer({ min: 10, max: 30 }), (each, most) => {
				const sets = each.map((of) => set(of.maker, of.year, of.name, { cards: of.cards }));
				const plan = planMixedSorting(sets, most, times);
				const dealings = sum(plan.steps, ({ seconds }) => seconds);
				expect(dealings).toBeCloseTo(cheapest(sets, ['maker', 'year', 'name'], most));
				expect(sum(plan.sets, ({ cards }) => cards)).toBe(sum(sets, ({ cards }) => cards));
				// A dealing takes all cards of what it names, and makes a pile of each of its parts.
				for (const { of, cards, piles } of plan.steps) {
					const inside = sets.filter((each) => isWithin(each, of));
					expect(cards).toBe(sum(inside, (each) => each.cards));
					expect(sum(piles, (pile) => pile.cards)).toBe(cards);
					for (const pile of piles) {
						const part = inside.filter((each) => isWithin(each, pile.name));
						expect(pile.cards).toBe(sum(part, (each) => each.cards));
					}
				}
			}),
			{ numRuns: 200 }
		);
	});
});

/** Whether a set is of what a label names: "a", "a, b"; the empty label names all. */
const isWithin = ({ maker, year, name }: MixedSet, label: string) =>
	label === '' || `${maker}, ${year}, ${name}, `.startsWith(`${label}, `);

type Level = 'maker' | 'year' | 'name';
/** Every way to cut the levels into dealings, each part choosing for itself. */
function cheapest(sets: readonly MixedSet[], levels: readonly Level[], most: number): number {
	if (levels.length === 0) return 0;
	const costs = levels.map((_, i) => {
		const taken = levels.slice(0, i + 1);
		const parts = new Map<string, MixedSet[]>();
		for (const each of sets) {
			const key = taken.map((level) => each[level]).join('|');
			parts.set(key, [...(parts.get(key) ?? []), each]);
		}
		const here =
			parts.size > 1 ? sum(sets, ({ cards }) => cards) * times.cardS + parts.size * times.pileS : 0;
		if (parts.size > most) return Infinity;
		return here + sum([...parts.values()], (part) => cheapest(part, levels.slice(i + 1), most));
	});
	return Math.min(...costs);
}

test('usual times are taken where none are given', () => {
	const sets = [set('A', '1', 'x'), set('B', '1', 'x')];
	expect(planMixedSorting(sets, 5)).toEqual(planMixedSorting(sets, 5, USUAL_TIMES));
});
