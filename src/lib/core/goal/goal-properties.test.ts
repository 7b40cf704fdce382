import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { countVersionsAtMost } from '../checklist/versions/count-versions.ts';
import { expand } from '../checklist/versions/expand.ts';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { oddReleaseDraft, releaseDraft } from '../checklist/draft/release.arbitrary.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import { indexCards } from '../shorthand/card-index.ts';
import { readShorthand } from '../shorthand/read-shorthand.ts';
import { vocabularyOf } from '../shorthand/vocabulary.ts';
import { assign } from './assign.ts';
import { CONDITIONS } from '../copies/condition.ts';
import { fillGoals } from './fill-goals.ts';
import { fillSlots } from './fill-slots.ts';
import { ERROR_CHOICES, VARIANT_CHOICES, type GoalChoice } from './goal-rules.ts';
import { foldCards } from '../checklist/fold-runs.ts';
import { missingList } from './missing-list.ts';
import { PRESET_KEYS } from './preset.ts';
import { progressOf, totalProgress } from './progress.ts';
import { scopeGoal, scopeGoals } from './scope-goal.ts';

function resolved(draft: ReleaseDraft): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const choice: fc.Arbitrary<GoalChoice> = fc.record({
	preset: fc.constantFrom(...PRESET_KEYS),
	finishes: fc.constantFrom('base' as const, 'all' as const),
	variants: fc.constantFrom(...VARIANT_CHOICES.map(({ word }) => word)),
	errors: fc.constantFrom(...ERROR_CHOICES.map(({ word }) => word)),
	editions: fc.boolean(),
	leastRun: fc.constantFrom(0, 5, 50),
	sets: fc.integer({ min: 1, max: 3 })
});

describe('for all releases and rules', () => {
	test('a slot asks for versions that exist, and no version fills two slots of one set', () => {
		fc.assert(
			fc.property(oddReleaseDraft, choice, (draft, rules) => {
				const release = resolved(draft);
				expect(countVersionsAtMost(release)).toBeGreaterThanOrEqual(expand(release).length);
				const known = new Map(expand(release).map((version) => [version.key, version]));
				const { slots } = scopeGoals([release], rules);
				const seen = new Set<string>();
				for (const { versions, version, set, key } of slots) {
					expect(versions[0]).toBe(version.key);
					for (const each of versions) {
						expect(known.has(each)).toBe(true);
						expect(known.get(each)?.cardKey).toBe(version.cardKey);
						expect((known.get(each)?.printRun ?? Infinity) >= (rules.leastRun ?? 0)).toBe(true);
						expect(seen.has(`${set} ${each}`)).toBe(false);
						seen.add(`${set} ${each}`);
					}
					expect(seen.has(`key ${key}`)).toBe(false);
					seen.add(`key ${key}`);
				}
			}),
			{ numRuns: 80 }
		);
	});

	test('sets multiply, "any one will do" adds no slot, and a least print run only takes away', () => {
		fc.assert(
			fc.property(oddReleaseDraft, choice, (draft, rules) => {
				const release = resolved(draft);
				const count = (change: Partial<GoalChoice>) =>
					scopeGoals([release], { ...rules, ...change }).slots.length;
				expect(count({ sets: 3 })).toBe(3 * count({ sets: 1 }));
				expect(count({ variants: 'any', leastRun: 0 })).toBe(
					count({ variants: 'ignored', leastRun: 0 })
				);
				expect(count({ errors: 'either', leastRun: 0 })).toBe(
					count({ errors: 'none', leastRun: 0 })
				);
				expect(count({ leastRun: 50 })).toBeLessThanOrEqual(count({ leastRun: 5 }));
				const { slots, skipped } = scopeGoals([release], rules);
				expect(slots.length + skipped).toBe(count({ leastRun: 0 }));
			}),
			{ numRuns: 80 }
		);
	});

	test('strict master asks for every version once', () => {
		fc.assert(
			fc.property(oddReleaseDraft, (draft) => {
				const release = resolved(draft);
				const panels = new Set(
					release.sections.flatMap(({ cards }) =>
						cards.filter(({ panelOf }) => panelOf.length > 0).map(({ key }) => key)
					)
				);
				const wanted = expand(release).filter(({ cardKey }) => !panels.has(cardKey));
				const slots = scopeGoal(release, { preset: 'strict-master' });
				const asked = slots.filter(({ version }) => !panels.has(version.cardKey));
				expect(asked.map(({ key }) => key)).toEqual(wanted.map(({ key }) => key));
			}),
			{ numRuns: 60 }
		);
	});
});

describe('for all holdings', () => {
	test('have and missing make the need, and typing the missing list in completes the goal', () => {
		fc.assert(
			fc.property(
				releaseDraft,
				fc.infiniteStream(fc.integer({ min: 0, max: 2 })),
				(draft, owned) => {
					const release = resolved(draft);
					const slots = scopeGoal(release, { preset: 'with-inserts' });
					const copies = slots.flatMap(({ key }) => {
						const quantity = owned.next().value ?? 0;
						return quantity > 0 ? [{ key, version: key, quantity }] : [];
					});
					const filling = fillSlots(slots, copies);
					const groups = missingList(release, slots, filling);
					const { have, need } = totalProgress(progressOf(slots, filling));
					expect(need).toBe(slots.length);
					expect(have).toBe(groups.reduce((sum, group) => sum + group.have, 0));
					expect(need - have).toBe(groups.reduce((sum, group) => sum + group.cards.length, 0));
					const index = indexCards(release);
					for (const { section, cards } of groups) {
						const text = foldCards(cards.map(({ card }) => card));
						const { problems, changes } = readShorthand(text, {
							release,
							index,
							vocabulary: vocabularyOf(release),
							numberingKey: section.numberedIn ?? section.key,
							parallelKey: null,
							owned: new Map()
						});
						// Two cards of a numbering may bear the same title: only numbers tell them apart then.
						const titles = cards.flatMap(({ card }) => (card.number === null ? [card.title] : []));
						if (titles.length > 0) continue;
						expect(problems).toEqual([]);
						expect(new Set(changes.map(({ version }) => version))).toEqual(
							new Set(cards.map(({ version }) => version))
						);
					}
				}
			),
			{ numRuns: 60 }
		);
	});

	test('goals that keep their own never use a copy twice; the others are filled as if alone with the rest', () => {
		const version = fc.constantFrom('a', 'b', 'c');
		const goal = fc.record({
			keepsOwn: fc.boolean(),
			slots: fc.array(fc.uniqueArray(version, { minLength: 1, maxLength: 2 }), { maxLength: 4 })
		});
		const pile = fc.record({
			version,
			quantity: fc.integer({ min: 1, max: 3 }),
			condition: fc.constantFrom(...CONDITIONS)
		});
		fc.assert(
			fc.property(
				fc.array(goal, { maxLength: 4 }),
				fc.array(pile, { maxLength: 5 }),
				(drafts, piles) => {
					const goals = drafts.map(({ keepsOwn, slots }, g) => ({
						key: `g${g}`,
						keepsOwn,
						slots: slots.map((versions, s) => ({ key: `s${s}`, versions, quantity: 1 }))
					}));
					const copies = piles.map((drawnPile, c) => ({ ...drawnPile, key: `c${c}` }));
					const filled = fillGoals(goals, copies);
					const used = new Map<string, number>();
					for (const { key, keepsOwn } of goals) {
						if (!keepsOwn) continue;
						for (const { copy } of filled.get(key)?.placements ?? []) {
							used.set(copy, (used.get(copy) ?? 0) + 1);
						}
					}
					for (const { key, quantity } of copies) {
						expect(used.get(key) ?? 0).toBeLessThanOrEqual(quantity);
					}
					const left = copies
						.map((copy) => ({ ...copy, quantity: copy.quantity - (used.get(copy.key) ?? 0) }))
						.filter(({ quantity }) => quantity > 0);
					for (const { key, keepsOwn, slots } of goals) {
						const filling = filled.get(key);
						const places = (filling?.placements.length ?? 0) + (filling?.missing.length ?? 0);
						expect(places).toBe(slots.length);
						if (!keepsOwn) expect(filling).toEqual(fillSlots(slots, left));
					}
				}
			),
			{ numRuns: 200 }
		);
	});
});

describe('assign', () => {
	/** Every way to give units, by trying; the best is that with most units, then the least cost. */
	function bestByTrying(
		supplies: readonly number[],
		demands: readonly number[],
		fits: readonly { supply: number; demand: number; cost: readonly number[] }[]
	): readonly number[] {
		let best: readonly number[] = [0, 0, 0];
		const visit = (at: number, left: number[], open: number[], score: readonly number[]): void => {
			const fit = fits[at];
			if (!fit) {
				const differs = score.findIndex((part, i) => part !== best[i]);
				const isBetter =
					differs === 0
						? (score[0] ?? 0) > (best[0] ?? 0)
						: differs > 0 && (score[differs] ?? 0) < (best[differs] ?? 0);
				if (isBetter) best = score;
				return;
			}
			const most = Math.min(left[fit.supply] ?? 0, open[fit.demand] ?? 0);
			for (let units = 0; units <= most; units++) {
				visit(
					at + 1,
					left.map((supply, i) => (i === fit.supply ? supply - units : supply)),
					open.map((demand, i) => (i === fit.demand ? demand - units : demand)),
					[
						(score[0] ?? 0) + units,
						...fit.cost.map((part, i) => (score[i + 1] ?? 0) + units * part)
					]
				);
			}
		};
		visit(0, [...supplies], [...demands], [0, 0, 0]);
		return best;
	}

	test('for all small cases with piles it gives as many units as can be, at the least cost', () => {
		const units = fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 1, maxLength: 3 });
		const part = fc.integer({ min: -3, max: 3 });
		fc.assert(
			fc.property(
				units,
				units,
				fc.uniqueArray(fc.tuple(fc.nat(2), fc.nat(2), part, part), {
					maxLength: 6,
					selector: ([supply, demand]) => `${supply} ${demand}`
				}),
				(supplies, demands, pairs) => {
					const fits = pairs
						.filter(([supply, demand]) => supply < supplies.length && demand < demands.length)
						.map(([supply, demand, ...cost]) => ({ supply, demand, cost }));
					const flow = assign(supplies, demands, fits);
					const given = (of: 'supply' | 'demand', i: number) =>
						fits.reduce((sum, fit, f) => sum + (fit[of] === i ? (flow[f] ?? 0) : 0), 0);
					supplies.forEach((most, i) => expect(given('supply', i)).toBeLessThanOrEqual(most));
					demands.forEach((most, i) => expect(given('demand', i)).toBeLessThanOrEqual(most));
					const score = [
						flow.reduce((sum, sent) => sum + sent, 0),
						...[0, 1].map((p) =>
							fits.reduce((sum, { cost }, f) => sum + (cost[p] ?? 0) * (flow[f] ?? 0), 0)
						)
					];
					expect(score).toEqual(bestByTrying(supplies, demands, fits));
				}
			),
			{ numRuns: 300 }
		);
	});
});
