import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { costToFinish, type FinishSlot } from './cost-to-finish.ts';
import { FINISH_RULE_KEYS } from './finish-rule.ts';

const slot = (
	key: string,
	minor: number | null,
	missing: number,
	more: Partial<FinishSlot> = {}
): FinishSlot => ({
	...{ key, versions: [key], quantity: missing, need: 1, release: 'r', section: 'base' },
	...{ kind: 'base', parallel: null, isVariant: false, marks: [] },
	price:
		minor === null
			? null
			: {
					...{ version: key, lowMinor: minor, highMinor: minor },
					...{ kind: 'asking', points: 1, on: '1996-01-01' }
				},
	...more
});
const options = { rule: 'least to pay', mostShare: 0.5, postageMinor: 500 } as const;
const goal = (key: string, slots: readonly FinishSlot[]) => ({ key, name: key, slots, lumps: [] });

describe('costToFinish', () => {
	test('a set by hand: cost, worth whole and now, key cards, advice', () => {
		const slots = [
			slot('a', 100, 0),
			slot('b', 100, 0, { heldMinor: 250 }),
			slot('c', 150, 1),
			slot('k', 500, 0, { marks: ['key'] })
		];
		const [cost] = costToFinish([goal('g', slots)], options);
		expect(cost).toMatchObject({
			...{ have: 3, need: 4, missing: 1, cost: { lowMinor: 150, highMinor: 150 }, sureness: 1 },
			...{ nowMinor: 850, wholeMinor: 1000, unpriced: 0, keyShare: 0.5, keysMissing: 0 },
			advice: { verdict: 'finish', share: 0.15 }
		});
		// ● Key cards can be half of a set's resale value: common practice, no source.
		const [without] = costToFinish(
			[goal('g', [...slots.slice(0, 3), slot('k', 500, 1, { marks: ['key'] })])],
			options
		);
		expect(without).toMatchObject({ keysMissing: 1, advice: { verdict: 'let go', share: 0.65 } });
	});

	test('what is done is last, what too little is known of before it, the rest by the rule', () => {
		const goals = [
			goal('done', [slot('a', 10, 0)]),
			goal('open', [slot('a', null, 1), slot('b', null, 1)]),
			goal('near', [slot('a', 900, 1), ...['b', 'c', 'd', 'e'].map((key) => slot(key, 900, 0))]),
			goal('cheap', [slot('a', 90, 1), slot('b', 90, 1), slot('c', 90, 0)])
		];
		const ranked = (rule: (typeof FINISH_RULE_KEYS)[number]) =>
			costToFinish(goals, { ...options, rule }).map(({ key }) => key);
		expect(ranked('least to pay')).toEqual(['cheap', 'near', 'open', 'done']);
		expect(ranked('nearest to done')).toEqual(['near', 'cheap', 'open', 'done']);
		expect(ranked('least of its worth')).toEqual(['near', 'cheap', 'open', 'done']);
		expect(ranked('least a card')).toEqual(['cheap', 'near', 'open', 'done']);
		expect(costToFinish([], options)).toEqual([]);
		expect(() => costToFinish(goals, { ...options, mostShare: 2 })).toThrow(RangeError);
	});

	test('for all sets with every price said: whole = now + cost, and shares are shares', () => {
		const drawn = fc.tuple(fc.integer({ min: 0, max: 9000 }), fc.boolean(), fc.boolean());
		fc.assert(
			fc.property(
				fc.array(drawn, { minLength: 1, maxLength: 12 }),
				fc.constantFrom(...FINISH_RULE_KEYS),
				(some, rule) => {
					const slots = some.map(([minor, isMissing, isKey], i) =>
						slot(`s${i}`, minor, isMissing ? 1 : 0, isKey ? { marks: ['key'] } : {})
					);
					const [cost] = costToFinish([goal('g', slots)], { ...options, rule });
					expect(cost?.wholeMinor).toBe((cost?.nowMinor ?? 0) + (cost?.cost.lowMinor ?? 0));
					expect(cost?.keyShare).toBeGreaterThanOrEqual(0);
					expect(cost?.keyShare).toBeLessThanOrEqual(1);
					expect(cost?.unpriced).toBe(0);
				}
			)
		);
	});

	test('cost and worth reckon with the same estimate: what is here tells what is missing, sums too', () => {
		const known = ['a', 'b', 'c'].map((key) => slot(key, 200, 0));
		const [cost] = costToFinish([goal('g', [...known, slot('d', null, 1)])], options);
		expect(cost).toMatchObject({
			...{ cost: { lowMinor: 200 }, nowMinor: 600, wholeMinor: 800, unpriced: 0 },
			counts: { neighbours: 1, unknown: 0 }
		});
		const lump = {
			key: 'l',
			words: 'all',
			versions: ['x', 'y', 'z'],
			cards: 3,
			lowMinor: 30,
			highMinor: 30
		};
		const slots = [...lump.versions.map((key) => slot(key, null, 1)), slot('e', null, 0)];
		const [lumped] = costToFinish([{ ...goal('g', slots), lumps: [lump] }], options);
		expect(lumped).toMatchObject({
			cost: { lowMinor: 30 },
			nowMinor: 10,
			wholeMinor: 40,
			unpriced: 0
		});
	});
});
