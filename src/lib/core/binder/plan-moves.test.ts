import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chooseTargets } from './choose-targets.ts';
import { afterStep, planMoves, type Lying, type MoveStep } from './plan-moves.ts';

/** "a.b" is a in pocket 0, nothing in 1, b in 2. */
const lying = (text: string): Lying[] =>
	[...text].flatMap((item, i) => (item === '.' ? [] : [{ item, pocket: String(i) }]));
const asText = (steps: readonly MoveStep[]) =>
	steps.map((step) =>
		[step.do, step.item, 'from' in step ? step.from : '', 'to' in step ? `>${step.to}` : '']
			.filter(Boolean)
			.join(' ')
	);

/** Any rearrangement of up to six cards over up to seven pockets, with cards that leave and arrive. */
const rearrangement = fc
	.record({
		before: fc.shuffledSubarray(['a', 'b', 'c', 'd', 'e', 'f']),
		after: fc.shuffledSubarray(['a', 'b', 'c', 'd', 'e', 'f']),
		places: fc.shuffledSubarray(['0', '1', '2', '3', '4', '5', '6'], { minLength: 6 }),
		more: fc.shuffledSubarray(['0', '1', '2', '3', '4', '5', '6'], { minLength: 6 })
	})
	.map(({ before, after, places, more }) => ({
		now: before.map((item, i) => ({ item, pocket: places[i] ?? '' })),
		target: after.map((item, i) => ({ item, pocket: more[i] ?? '' }))
	}));

describe('planMoves', () => {
	// Permutation cycles: a cycle of n cards without an empty pocket takes n + 1, a chain of n takes n.
	test.each([
		['ab', 'ab', []],
		['ab.', 'a.b', ['move b 1 >2']],
		['ab', 'ba', ['hold b 1', 'move a 0 >1', 'lay down b >0']],
		['abc', 'cab', ['hold c 2', 'move b 1 >2', 'move a 0 >1', 'lay down c >0']],
		// Worked from its empty end: nothing waits in the hand.
		['ab.', '.ab', ['move b 1 >2', 'move a 0 >1']],
		['ab', '.a', ['take out b 1', 'move a 0 >1']],
		['a.', 'xa', ['move a 0 >1', 'put in x >0']],
		['', 'ab', ['put in a >0', 'put in b >1']],
		['ab', '', ['take out a 0', 'take out b 1']]
	])('%s → %s', (before, after, steps) => {
		expect(asText(planMoves(lying(before), lying(after)).steps)).toEqual(steps);
	});

	test('for all rearrangements: every step is possible, the end is right, and the count is the sum of its parts', () => {
		fc.assert(
			fc.property(rearrangement, ({ now, target }) => {
				const plan = planMoves(now, target);
				let state: readonly Lying[] = now;
				let hand: string | null = null;
				for (const step of plan.steps) {
					const at = state.find(({ item }) => item === step.item)?.pocket;
					if ('from' in step) expect(at).toBe(step.from);
					else expect(at).toBeUndefined();
					if ('to' in step) expect(state.some(({ pocket }) => pocket === step.to)).toBe(false);
					if (step.do === 'hold') {
						expect(hand).toBeNull();
						hand = step.item;
					}
					if (step.do === 'lay down') {
						expect(hand).toBe(step.item);
						hand = null;
					}
					state = afterStep(state, step);
				}
				const sorted = (lies: readonly Lying[]) =>
					lies.map(({ item, pocket }) => `${item} ${pocket}`).sort();
				expect(sorted(state)).toEqual(sorted(target));
				const { misplaced, cycles, putIn, takenOut, stays } = plan;
				// A misplaced card that leaves is taken out, not moved.
				expect(plan.steps).toHaveLength(misplaced + cycles + putIn + takenOut);
				expect(stays + misplaced + takenOut).toBe(now.length);
			})
		);
	});

	test('for all rearrangements: no other way takes fewer steps (searched breadth first)', () => {
		fc.assert(
			fc.property(rearrangement, ({ now, target }) => {
				const few = (lies: readonly Lying[]) =>
					lies.filter(({ pocket }) => pocket < '5').slice(0, 4);
				const [before, after] = [few(now), few(target)];
				expect(planMoves(before, after).steps).toHaveLength(fewest(before, after));
			}),
			{ numRuns: 60 }
		);
	});

	test('one may stop after any step: planned again, what is left is the rest', () => {
		fc.assert(
			fc.property(rearrangement, ({ now, target }) => {
				let state: readonly Lying[] = now;
				let { steps } = planMoves(now, target);
				while (steps.length > 0) {
					const [step, ...rest] = steps;
					if (!step) break;
					state = afterStep(state, step);
					({ steps } = planMoves(state, target));
					const bare = (list: readonly MoveStep[]) =>
						list.map((done) => ({ ...done, do: done.do === 'lay down' ? 'put in' : done.do }));
					expect(bare(steps)).toEqual(bare(rest));
				}
			})
		);
	});

	test('a pocket or a card that stands twice is refused by name', () => {
		expect(() => planMoves([...lying('a'), ...lying('b')], [])).toThrow('pocket "0" stands twice');
		expect(() => planMoves([], [...lying('a'), ...lying('.a')])).toThrow('item "a" stands twice');
	});
});

/** Breadth first: from pocket to free pocket, to tray, to the one place in the hand, and back. */
function fewest(now: readonly Lying[], target: readonly Lying[]): number {
	const pockets = ['0', '1', '2', '3', '4'];
	const arriving = target.filter(({ item }) => !now.some((card) => card.item === item));
	const name = (lies: readonly Lying[]) =>
		lies
			.map(({ item, pocket }) => `${item}${pocket}`)
			.sort()
			.join();
	const start = [...now, ...arriving.map(({ item }) => ({ item, pocket: 'tray' }))];
	const kept = new Set(target.map(({ item }) => item));
	const end = name(target);
	let front = [start];
	const seen = new Set([name(start)]);
	const isDone = (lies: readonly Lying[]) =>
		name(lies.filter(({ item, pocket }) => pocket !== 'tray' || kept.has(item))) === end;
	for (let steps = 0; ; steps++) {
		if (front.some(isDone)) return steps;
		const next: Lying[][] = [];
		for (const lies of front) {
			for (const { item, pocket } of lies) {
				const places = [
					...pockets,
					...(pocket === 'tray' ? [] : kept.has(item) ? ['hand'] : ['tray'])
				];
				for (const to of places) {
					if (to !== 'tray' && lies.some((card) => card.pocket === to)) continue;
					const moved = lies.map((card) => (card.item === item ? { item, pocket: to } : card));
					if (!seen.has(name(moved))) {
						seen.add(name(moved));
						next.push(moved);
					}
				}
			}
		}
		front = next;
	}
}

describe('chooseTargets', () => {
	test.each([
		['all stay, wherever the blanks are', [0, 2, 5], 6, [0, 2, 5]],
		['the one out of line moves', [1, 0, 3], 5, [1, 2, 3]],
		['what arrives gets the pocket behind the one before', [0, null, 4], 6, [0, 1, 4]],
		['a card with too little room before it moves', [null, 0], 4, [0, 1]],
		['a card with too little room behind it moves', [3, null], 4, [0, 1]],
		['no cards', [], 3, []],
		['no blanks', [2, 1, 0], 3, [0, 1, 2]]
	] as const)('%s', (_, lies, pockets, targets) => {
		expect(chooseTargets(lies, pockets)).toEqual(targets);
	});

	test('for all small sections: as many stay as in the best of all ways (brute force)', () => {
		const section = fc
			.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 4 }))
			.chain(([cards, blanks]) => {
				const pockets = cards + blanks;
				const places = fc.shuffledSubarray(
					Array.from({ length: pockets }, (_, i) => i),
					{
						minLength: cards
					}
				);
				const away = fc.array(fc.boolean(), { minLength: cards, maxLength: cards });
				return fc.record({
					pockets: fc.constant(pockets),
					lies: fc
						.tuple(places, away)
						.map(([at, gone]) => gone.map((is, i) => (is ? null : (at[i] ?? null))))
				});
			});
		fc.assert(
			fc.property(section, ({ lies, pockets }) => {
				const stay = (targets: readonly number[]) =>
					targets.filter((target, i) => target === lies[i]).length;
				const targets = chooseTargets(lies, pockets);
				expect(targets.every((target, i) => i === 0 || target > (targets[i - 1] ?? 0))).toBe(true);
				expect(Math.min(...targets)).toBeGreaterThanOrEqual(0);
				expect(Math.max(...targets)).toBeLessThan(pockets);
				const best = Math.max(...waysToRise(lies.length, pockets).map(stay));
				expect(stay(targets)).toBe(best);
			})
		);
	});

	test('more cards than pockets are refused', () => {
		expect(() => chooseTargets([null, null], 1)).toThrow('2 cards for 1 pockets');
	});
});

/** Every way to give so many cards rising pockets. */
function waysToRise(cards: number, pockets: number, from = 0): number[][] {
	if (cards === 0) return [[]];
	return Array.from(
		{ length: Math.max(0, pockets - from - cards + 1) },
		(_, i) => from + i
	).flatMap((first) => waysToRise(cards - 1, pockets, first + 1).map((rest) => [first, ...rest]));
}
