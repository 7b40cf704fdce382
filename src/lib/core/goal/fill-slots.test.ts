import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { conditionRank, CONDITIONS } from '../copies/condition.ts';
import type { Copy } from '../copies/copy.ts';
import { fillSlots } from './fill-slots.ts';
import type { Slot } from './slot.ts';

const slot = (key: string, versions: string[], rest: Partial<Slot> = {}): Slot => ({
	key,
	versions,
	quantity: 1,
	...rest
});
const copy = (key: string, version: string, rest: Partial<Copy> = {}): Copy => ({
	key,
	version,
	quantity: 1,
	...rest
});

/** Tries every way to seat single copies; scores it by places filled, then by each condition's count, best first. */
function bestByTrying(slots: readonly Slot[], copies: readonly Copy[]): number[] {
	let best: number[] = [];
	const visit = (at: number, left: readonly number[], ranks: readonly number[]): void => {
		const tried = copies[at];
		if (!tried) {
			const score = [
				ranks.length,
				...[18, 14, 10, 6, 4, 2].map((rank) => ranks.filter((r) => r === rank).length)
			];
			const differs = score.findIndex((value, i) => value !== (best[i] ?? -1));
			if (differs >= 0 && (score[differs] ?? 0) > (best[differs] ?? -1)) best = score;
			return;
		}
		visit(at + 1, left, ranks);
		slots.forEach(({ versions, leastCondition }, s) => {
			const rank = conditionRank(tried.condition);
			const fits = versions.includes(tried.version) && rank >= conditionRank(leastCondition);
			if (fits && (left[s] ?? 0) > 0) {
				visit(
					at + 1,
					left.map((count, i) => (i === s ? count - 1 : count)),
					[...ranks, rank]
				);
			}
		});
	};
	visit(
		0,
		slots.map(({ quantity }) => quantity),
		[]
	);
	return best;
}

describe('fillSlots', () => {
	test('any-of slots compete: a chain of moves frees the place', () => {
		// A greedy loop gives a to 1 and leaves 2 empty.
		const slots = [slot('1', ['a', 'b']), slot('2', ['a'])];
		const { missing, placements } = fillSlots(slots, [copy('x', 'a'), copy('y', 'b')]);
		expect(missing).toEqual([]);
		expect(placements).toEqual([
			{ slot: '1', copy: 'y' },
			{ slot: '2', copy: 'x' }
		]);
	});

	test('the best-conditioned copy goes to the slot, the rest are spares', () => {
		const copies = [
			copy('worn', 'a', { condition: 'poor', quantity: 3 }),
			copy('fine', 'a', { condition: 'mint' }),
			copy('other', 'z')
		];
		expect(fillSlots([slot('1', ['a'])], copies)).toEqual({
			placements: [{ slot: '1', copy: 'fine' }],
			missing: [],
			spares: [{ copy: 'worn', quantity: 3 }],
			outside: ['other']
		});
	});

	test('piles fill slots that take several, and what is not good enough for any is outside', () => {
		const slots = [slot('1', ['a'], { quantity: 4, leastCondition: 'good' })];
		const copies = [
			copy('pile', 'a', { quantity: 3, condition: 'good' }),
			copy('rag', 'a', { condition: 'poor' })
		];
		expect(fillSlots(slots, copies)).toMatchObject({
			missing: [{ slot: '1', quantity: 1 }],
			spares: [],
			outside: ['rag']
		});
	});

	test.each([
		['nothing at all', [], [], { placements: [], missing: [], spares: [], outside: [] }],
		['no copies', [slot('1', ['a'])], [], { missing: [{ slot: '1', quantity: 1 }] }],
		['no slots', [], [copy('x', 'a')], { outside: ['x'] }]
	])('%s', (_, slots, copies, expected) => {
		expect(fillSlots(slots, copies)).toMatchObject(expected);
	});

	test.each([
		['a slot twice', [slot('1', ['a']), slot('1', ['b'])], [], /slot "1" stands twice/],
		['a copy twice', [], [copy('x', 'a'), copy('x', 'a')], /copy "x" stands twice/],
		['half a copy', [], [copy('x', 'a', { quantity: 0.5 })], /quantity 0\.5/]
	])('%s is refused', (_, slots, copies, message) => {
		expect(() => fillSlots(slots, copies)).toThrow(message);
	});

	test('for all small cases it is as good as the best of all ways', () => {
		const version = fc.constantFrom('a', 'b', 'c', 'd');
		const condition = fc.constantFrom(...CONDITIONS, undefined);
		const slots = fc.array(
			fc.record({
				versions: fc.uniqueArray(version, { minLength: 1, maxLength: 3 }),
				leastCondition: fc.option(condition, { nil: undefined, freq: 4 }),
				quantity: fc.integer({ min: 1, max: 2 })
			}),
			{ maxLength: 4 }
		);
		const copies = fc.array(fc.record({ version, condition }), { maxLength: 6 });
		fc.assert(
			fc.property(slots, copies, (slotParts, copyParts) => {
				const allSlots = slotParts.map((part, i) => ({ ...part, key: `s${i}` }));
				const allCopies = copyParts.map((part, i) => ({ ...part, key: `c${i}`, quantity: 1 }));
				const { placements, missing, spares, outside } = fillSlots(allSlots, allCopies);
				const ranks = placements.map(({ copy: key }) =>
					conditionRank(allCopies.find((known) => known.key === key)?.condition)
				);
				const score = [
					ranks.length,
					...[18, 14, 10, 6, 4, 2].map((rank) => ranks.filter((r) => r === rank).length)
				];
				expect(score).toEqual(bestByTrying(allSlots, allCopies));
				// Nothing is lost: every copy is placed, spare or outside; every place is filled or missing.
				expect(placements.length + spares.length + outside.length).toBe(allCopies.length);
				const places = allSlots.reduce((sum, { quantity }) => sum + quantity, 0);
				const open = missing.reduce((sum, { quantity }) => sum + quantity, 0);
				expect(placements.length + open).toBe(places);
			}),
			{ numRuns: 300 }
		);
	});
});
