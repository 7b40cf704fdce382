import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Condition } from '../../copies/condition.ts';
import { conditionChoices } from './condition-choices.ts';
import { budgetCondition, type ConditionSlot } from './budget-condition.ts';

const choice = fc.record({
	name: fc.constant(''),
	minor: fc.integer({ min: 0, max: 500 }),
	quality: fc.integer({ min: 0, max: 20 }).map((n) => n / 2)
});
const slots = fc
	.array(fc.array(choice, { minLength: 1, maxLength: 4 }), { maxLength: 5 })
	.map((some) =>
		some.map((choices, s): ConditionSlot => ({
			key: `s${s}`,
			choices: choices.map((each, c) => ({ ...each, name: `c${c}` }))
		}))
	);

/** Every choice of every slot. */
function everyPlan(some: readonly ConditionSlot[]): readonly { minor: number; quality: number }[] {
	return some.reduce<{ minor: number; quality: number }[]>(
		(plans, { choices }) =>
			plans.flatMap(({ minor, quality }) =>
				choices.map((each) => ({ minor: minor + each.minor, quality: quality + each.quality }))
			),
		[{ minor: 0, quality: 0 }]
	);
}

describe('budgetCondition', () => {
	test('for all slots it is the best within the budget and the cheapest of the average, by trying all', () => {
		fc.assert(
			fc.property(
				slots,
				fc.integer({ min: 0, max: 1500 }),
				fc.integer({ min: 0, max: 20 }),
				(some, budgetMinor, half) => {
					const average = half / 2;
					const { best, cheapest, curve } = budgetCondition(some, { budgetMinor, average });
					const all = everyPlan(some);
					const within = all.filter(({ minor }) => minor <= budgetMinor);
					const top = Math.max(-1, ...within.map(({ quality }) => quality));
					const least = Math.min(
						...within.filter(({ quality }) => quality === top).map(({ minor }) => minor)
					);
					const count = Math.max(1, some.length);
					if (within.length === 0) expect(best).toBeNull();
					else {
						expect(best?.average).toBeCloseTo(top / count, 9);
						expect(best?.minor).toBe(least);
					}
					const good = all.filter(({ quality }) => quality / count >= average - 1e-9);
					if (good.length === 0) expect(cheapest).toBeNull();
					else expect(cheapest?.minor).toBe(Math.min(...good.map(({ minor }) => minor)));
					for (let i = 1; i < curve.length; i++) {
						expect(curve[i]?.minor).toBeGreaterThan(curve[i - 1]?.minor ?? -1);
						expect(curve[i]?.average).toBeGreaterThan(curve[i - 1]?.average ?? -1);
					}
				}
			)
		);
	});

	// Cormen, Leiserson, Rivest and Stein, Introduction to Algorithms, ch. 16.2 (from memory): weights 10, 20, 30,
	// values 60, 100, 120, capacity 50: the best is 220.
	test('the 0–1 knapsack is a part of it', () => {
		const items = [
			[10, 6],
			[20, 10],
			[30, 12]
		] as const;
		const { best } = budgetCondition(
			items.map(([minor, quality], i) => ({
				key: String(i),
				choices: [
					{ name: 'out', minor: 0, quality: 0 },
					{ name: 'in', minor, quality }
				]
			})),
			{ budgetMinor: 50 }
		);
		expect((best?.average ?? 0) * 3 * 10).toBeCloseTo(220, 9);
		expect(best?.minor).toBe(50);
	});

	test('key cards are pinned; a lightly played set costs about half (● common practice, no source)', () => {
		const set = Array.from({ length: 50 }, (_, i): ConditionSlot => ({
			key: String(i),
			choices: [
				{ name: 'near mint', minor: 100, quality: 7 },
				{ name: 'excellent', minor: 50, quality: 5 }
			],
			...(i === 0 ? { pinned: 'near mint' } : {})
		}));
		const { cheapest, best, curve } = budgetCondition(set, { budgetMinor: 2600, average: 5 });
		expect(cheapest).toMatchObject({ minor: 49 * 50 + 100 });
		expect(best?.choices.filter(({ name }) => name === 'near mint')).toHaveLength(2);
		expect(curve.at(-1)?.minor).toBe(5000);
		expect(() => budgetCondition([{ key: 'a', choices: [], pinned: 'x' }], {})).toThrow(RangeError);
		expect(budgetCondition([], { budgetMinor: 0 }).best).toMatchObject({ minor: 0, choices: [] });
	});
});

describe('the conditions that a card may be bought in', () => {
	const percents = { 'near mint': 100, excellent: 50, 'very good': 30, good: 20 };
	const point = (minor: number, condition?: Condition) => ({
		...{
			version: 'r/a',
			lowMinor: minor,
			highMinor: minor,
			kind: 'asking' as const,
			on: '1996-10-01'
		},
		...(condition ? { condition } : {})
	});
	test.each([
		// ● A lightly played one is about half: common practice, no source.
		['a price near mint: the others are parts of it', [point(1000)], null, [1000, 500, 300, 200]],
		[
			'what is said of a condition counts',
			[point(1000), point(420, 'excellent')],
			null,
			[1000, 420, 300, 200]
		],
		['reckoned back from a worse one', [point(300, 'excellent')], null, [600, 300, 180, 120]],
		['by its neighbours', [], 800, [800, 400, 240, 160]],
		['nothing is known', [], null, null]
	] as const)('%s', (_, points, estimate, minors) => {
		const choices = conditionChoices('r/a', points, percents, estimate);
		expect(choices?.map(({ minor }) => minor) ?? null).toEqual(minors);
		expect(choices?.map(({ quality }) => quality) ?? null).toEqual(minors && [7, 5, 3, 2]);
	});
});
