import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { conditionRank } from '../copies/condition.ts';
import type { Copy } from '../copies/copy.ts';
import { fillGoals } from '../goal/fill-goals.ts';
import { fitsSlot } from '../goal/fill-slots.ts';
import type { Release } from '../checklist/release.ts';
import { release } from '../goal/small-release.fixture.ts';
import { scopeGoal, type ScopedSlot } from '../goal/scope-goal.ts';
import { joinGoals, type HeldGoal } from './join-goals.ts';

const [first] = scopeGoal(release, { preset: 'complete' });
if (!first) throw new RangeError('no slot');
const version = first.version;
/** Counterexamples name it, so it is cut short. */
const small: Release = { ...release, sections: [], parallels: [] };

/** Slots over four versions, any of which may be joined under its first. */
const slotOf = (versions: readonly string[], rest: Partial<ScopedSlot> = {}): ScopedSlot => ({
	key: versions[0] ?? '',
	versions,
	version,
	release: release.key,
	set: 1,
	quantity: 1,
	...rest
});
const VERSIONS = ['a', 'b', 'c', 'd'];
const drawnSlots = fc
	.uniqueArray(
		fc.record(
			{
				first: fc.constantFrom(...VERSIONS),
				more: fc.subarray(VERSIONS),
				leastCondition: fc.constantFrom('mint' as const, 'good' as const),
				needs: fc.constant(['perforated'])
			},
			{ requiredKeys: ['first', 'more'] }
		),
		{ selector: (slot) => slot.first, minLength: 1, maxLength: 3 }
	)
	.map((slots) =>
		slots.map(({ first: key, more, ...rest }) => slotOf([...new Set([key, ...more])], rest))
	);
const drawnGoals = fc
	.array(fc.record({ keepsOwn: fc.boolean(), isHeld: fc.boolean(), slots: drawnSlots }), {
		minLength: 1,
		maxLength: 3
	})
	.map((goals) =>
		goals.map((goal, i) => ({
			...goal,
			key: String(i + 1),
			releases: [small],
			isHeld: goal.isHeld || i === 0
		}))
	);
const drawnCopies = fc
	.array(
		fc.record(
			{
				version: fc.constantFrom(...VERSIONS),
				quantity: fc.integer({ min: 1, max: 2 }),
				condition: fc.constantFrom('mint' as const, 'good' as const, 'poor' as const),
				attributes: fc.constant(['perforated'])
			},
			{ requiredKeys: ['version', 'quantity'] }
		),
		{ maxLength: 4 }
	)
	.map((copies) => copies.map((copy, i): Copy => ({ ...copy, key: `c${i}` })));

/** The most slots that can be filled at once, by trying everything. */
function mostFilled(slots: readonly ScopedSlot[], copies: readonly Copy[]): number {
	const [slot, ...rest] = slots;
	if (!slot) return 0;
	const without = mostFilled(rest, copies);
	const tries = copies.flatMap((copy, i) =>
		copy.quantity > 0 && fitsSlot(slot, copy)
			? [1 + mostFilled(rest, copies.with(i, { ...copy, quantity: copy.quantity - 1 }))]
			: []
	);
	return Math.max(without, ...tries);
}

describe('joinGoals', () => {
	test('for all goals: each pocket once, each card once, as many filled as can be', () => {
		fc.assert(
			fc.property(drawnGoals, drawnCopies, (goals, copies) => {
				const held: readonly HeldGoal[] = goals.filter(({ isHeld }) => isHeld);
				const keepers = goals.filter(({ keepsOwn }) => keepsOwn);
				const { slots, filling } = joinGoals(held, keepers, copies);
				const slotNamed = new Map(slots.map((slot) => [slot.key, slot]));
				expect(slotNamed.size, 'a key twice').toBe(slots.length);

				const byKeepers = fillGoals(keepers, copies);
				const left = new Map(copies.map(({ key, quantity }) => [key, quantity]));
				const take = (copy: string) => left.set(copy, (left.get(copy) ?? 0) - 1);
				for (const { placements } of byKeepers.values()) {
					for (const { copy } of placements) take(copy);
				}
				const remaining = copies.map((copy) => ({ ...copy, quantity: left.get(copy.key) ?? 0 }));
				const isShared = (goal: string) => !held.find(({ key }) => key === goal)?.keepsOwn;
				const shared = filling.placements.filter(({ slot }) =>
					isShared(slotNamed.get(slot)?.goal ?? '')
				);
				expect(shared.length).toBe(
					mostFilled(
						slots.filter(({ goal }) => isShared(goal)),
						remaining
					)
				);
				for (const { slot, copy: key } of filling.placements) {
					const copy = copies.find((known) => known.key === key) as Copy;
					const asks = slotNamed.get(slot) as ScopedSlot;
					expect(fitsSlot(asks, copy)).toBe(true);
				}
				for (const { copy } of shared) take(copy);
				for (const amount of left.values()) expect(amount).toBeGreaterThanOrEqual(0);
				const fits = (copy: Copy) => slots.some((slot) => fitsSlot(slot, copy));
				expect(filling.spares).toEqual(
					copies
						.filter((copy) => fits(copy) && (left.get(copy.key) ?? 0) > 0)
						.map(({ key }) => ({ copy: key, quantity: left.get(key) }))
				);
				expect(filling.outside).toEqual(copies.filter((copy) => !fits(copy)).map(({ key }) => key));
				expect(filling.placements.length + filling.missing.length).toBe(slots.length);
			}),
			{ numRuns: 400 }
		);
	});

	test('for all goals that share: the card in a joined pocket serves every goal that asks for it', () => {
		fc.assert(
			fc.property(drawnGoals, drawnCopies, (goals, copies) => {
				const sharing = goals.map((goal) => ({ ...goal, keepsOwn: false }));
				const { slots, filling } = joinGoals(sharing, [], copies);
				const asked = sharing.flatMap((goal) => goal.slots);
				// A pocket more only where no copy can serve both.
				const kinds = new Set(asked.map(({ key, needs = [] }) => `${key} ${needs.join()}`));
				expect(slots.length).toBe(kinds.size);
				for (const { slot, copy: key } of filling.placements) {
					const copy = copies.find((known) => known.key === key) as Copy;
					const [name = ''] = slot.split('@');
					const joined = slots.find((known) => known.key === slot);
					const served = asked.filter(
						(other) =>
							other.key === name && (other.needs ?? []).join() === (joined?.needs ?? []).join()
					);
					expect(served.length).toBeGreaterThan(0);
					for (const other of served) {
						expect(other.versions.includes(copy.version)).toBe(true);
						expect(conditionRank(copy.condition)).toBeGreaterThanOrEqual(
							conditionRank(other.leastCondition)
						);
					}
				}
			}),
			{ numRuns: 300 }
		);
	});

	test('a single goal is as it is alone; what lies stays; no goal is refused', () => {
		const goal = { key: '1', keepsOwn: false, releases: [release], slots: [slotOf(['a'])] };
		const copies = [
			{ key: 'x', version: 'a', quantity: 1 },
			{ key: 'y', version: 'a', quantity: 1 }
		];
		const [alone, lying] = [
			joinGoals([goal], [], copies),
			joinGoals([goal], [], copies, new Map([['y', 'a']]))
		];
		expect(alone.filling).toEqual(fillGoals([goal], copies).get('1'));
		expect(alone.slots).toEqual([{ ...slotOf(['a']), goal: '1', goals: ['1'] }]);
		expect(lying.filling.placements).toEqual([{ slot: 'a', copy: 'y' }]);
		expect(() => joinGoals([], [], [])).toThrow(RangeError);
	});

	test('goals that keep their own have pockets of their own, and names apart', () => {
		const goal = (key: string, keepsOwn: boolean) => ({
			key,
			keepsOwn,
			releases: [release],
			slots: [slotOf(['a'])]
		});
		const copies = [{ key: 'x', version: 'a', quantity: 3 }];
		const keys = (...goals: readonly HeldGoal[]) => {
			const { slots, filling } = joinGoals(
				goals,
				goals.filter(({ keepsOwn }) => keepsOwn),
				copies
			);
			expect(filling.placements).toHaveLength(slots.length);
			return slots.map((slot) => slot.key);
		};
		expect(keys(goal('1', false), goal('2', false))).toEqual(['a']);
		expect(keys(goal('1', true), goal('2', true), goal('3', false))).toEqual(['a', 'a@2', 'a@0']);
		expect(keys(goal('1', false), goal('2', true), goal('3', false))).toEqual(['a', 'a@2']);
	});
});
