import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, test } from 'vitest';
import { CONDITIONS, conditionRank, qualityRank } from '../copies/condition.ts';
import type { Copy } from '../copies/copy.ts';
import { fillGoals } from './fill-goals.ts';
import { fillSlots, fitsSlot, type Filling } from './fill-slots.ts';
import type { Slot } from './slot.ts';

type Score = readonly number[];

/** Places filled; tier by tier the sum of ranks, then how many; then copies that stay where they lie. */
function scoreOf(slots: readonly Slot[], copies: readonly Copy[], filling: Filling): Score {
	const slotOf = new Map(slots.map((slot) => [slot.key, slot]));
	const copyOf = new Map(copies.map((copy) => [copy.key, copy]));
	const pairs = filling.placements.map(
		({ slot, copy }) => [slotOf.get(slot) as Slot, copyOf.get(copy) as Copy] as const
	);
	for (const [slot, copy] of pairs) expect(fitsSlot(slot, copy)).toBe(true);
	return scorePairs(slots, pairs);
}

function scorePairs(
	slots: readonly Slot[],
	pairs: readonly (readonly [Slot, Copy])[]
): readonly number[] {
	const tiers = [...new Set(slots.map(({ tier = 0 }) => tier))].sort((a, b) => a - b);
	return [
		pairs.length,
		...tiers.flatMap((tier) => {
			const here = pairs.filter(([slot]) => (slot.tier ?? 0) === tier);
			return [here.reduce((sum, [, copy]) => sum + qualityRank(copy), 0), here.length];
		}),
		pairs.filter(([slot, copy]) => copy.heldIn === slot.key).length
	];
}

function isBetter(a: Score, b: Score): boolean {
	const at = a.findIndex((part, i) => part !== (b[i] ?? 0));
	return at >= 0 && (a[at] ?? 0) > (b[at] ?? 0);
}

/** Every way to seat single copies in slots that take one each. */
function bestByTrying(slots: readonly Slot[], copies: readonly Copy[]): Score {
	let best: Score = scorePairs(slots, []);
	const visit = (at: number, free: readonly Slot[], pairs: readonly (readonly [Slot, Copy])[]) => {
		const copy = copies[at];
		if (!copy) {
			const score = scorePairs(slots, pairs);
			if (isBetter(score, best)) best = score;
			return;
		}
		visit(at + 1, free, pairs);
		for (const slot of free) {
			if (!fitsSlot(slot, copy)) continue;
			visit(
				at + 1,
				free.filter((other) => other !== slot),
				[...pairs, [slot, copy]]
			);
		}
	};
	visit(0, slots, []);
	return best;
}

const version = fc.constantFrom('a', 'b', 'c', 'd');
const slotParts = fc.record({
	versions: fc.uniqueArray(version, { minLength: 1, maxLength: 3 }),
	tier: fc.integer({ min: 0, max: 2 }),
	leastCondition: fc.option(fc.constantFrom(...CONDITIONS), { nil: undefined, freq: 4 }),
	needs: fc.constantFrom(undefined, undefined, ['perforated']),
	graded: fc.constantFrom(undefined, undefined, undefined, {}, { least: 5 }, { houses: ['Pier'] })
});
const copyParts = fc.record({
	version,
	alsoVersions: fc.option(fc.array(version, { maxLength: 2 }), { nil: undefined, freq: 3 }),
	house: fc.constantFrom(undefined, 'Pier'),
	isAuthentic: fc.constantFrom(undefined, undefined, undefined, true),
	condition: fc.option(fc.constantFrom(...CONDITIONS), { nil: undefined }),
	grade: fc.option(fc.constantFrom(1, 4.5, 8, 10), { nil: undefined, freq: 4 }),
	attributes: fc.constantFrom(undefined, ['perforated']),
	heldIn: fc.constantFrom(undefined, 's0', 's1', 's2')
});

describe('fillSlots against oracles', () => {
	test('for all small cases with sets, conditions, grades, attributes, places and copies of several versions it is the best of all ways', () => {
		fc.assert(
			fc.property(
				fc.array(slotParts, { maxLength: 4 }),
				fc.array(copyParts, { maxLength: 5 }),
				(s, c) => {
					const slots = s.map((part, i) => ({ ...part, key: `s${i}`, quantity: 1 }));
					const copies = c.map((part, i) => ({ ...part, key: `c${i}`, quantity: 1 }));
					const filling = fillSlots(slots, copies);
					expect(scoreOf(slots, copies, filling)).toEqual(bestByTrying(slots, copies));
				}
			),
			{ numRuns: 300 }
		);
	});

	test('for all small cases, an intact panel fills a slot of each of its cards, and one of each alone', () => {
		const single = fc.constantFrom('a', 'b');
		fc.assert(
			fc.property(
				fc.array(fc.record({ single, tier: fc.integer({ min: 0, max: 1 }) }), { maxLength: 4 }),
				fc.array(
					fc.record({ version: fc.constantFrom('a', 'b', 'p'), grade: fc.constantFrom(2, 5) }),
					{
						maxLength: 4
					}
				),
				(s, c) => {
					const slots = s.map(({ single: card, tier }, i) => ({
						key: `s${i}`,
						versions: [card, 'p'],
						panels: ['p'],
						tier,
						quantity: 1
					}));
					const copies = c.map((part, i) => ({ ...part, key: `c${i}`, quantity: 1 }));
					const filling = fillSlots(slots, copies);
					// A panel is two cards to whoever tries all ways: one as a, one as b.
					const apart = copies.flatMap((copy) =>
						copy.version === 'p'
							? ['a', 'b'].map((card) => ({
									...copy,
									key: `${copy.key} ${card}`,
									version: `p as ${card}`
								}))
							: [copy]
					);
					const asked = slots.map((slot) => {
						const [card = ''] = slot.versions;
						return { ...slot, versions: [card, `p as ${card}`], panels: [] };
					});
					const cardOf = new Map(slots.map(({ key, versions }) => [key, versions[0]]));
					const named = filling.placements.map(({ slot, copy }) => ({
						slot,
						copy: apart.some(({ key }) => key === copy) ? copy : `${copy} ${cardOf.get(slot) ?? ''}`
					}));
					expect(new Set(named.map(({ copy }) => copy)).size).toBe(named.length);
					expect(scoreOf(asked, apart, { ...filling, placements: named })).toEqual(
						bestByTrying(asked, apart)
					);
					const used = new Set(filling.placements.map(({ copy }) => copy));
					for (const { copy } of filling.spares) expect(used.has(copy)).toBe(false);
				}
			),
			{ numRuns: 200 }
		);
	});

	/** Oracle: HiGHS, an independent solver, on the same assignment as a linear programme (it is integral). */
	test.each([1, 2, 3])(
		'120 overlapping slots in two sets, 150 copies, seed %i: HiGHS finds no better',
		async (seed) => {
			const highs = await loadHighs();
			const [slots, copies] = largeCase(seed);
			const fits = slots.flatMap((slot, s) =>
				copies.flatMap((copy, c) => (fitsSlot(slot, copy) ? [{ slot, copy, s, c }] : []))
			);
			// Weights that keep the parts of the score apart: 60 slots a set, ranks up to 20.
			const step = 60 * 20 + 1;
			const weight = ({ slot, copy }: (typeof fits)[number]) =>
				step * step + qualityRank(copy) * (slot.tier === 1 ? 1 : step);
			const sum = (mine: typeof fits) => mine.map(({ s, c }) => `x${s}_${c}`).join(' + ');
			const model = [
				'Maximize',
				`obj: ${fits.map((fit) => `${weight(fit)} x${fit.s}_${fit.c}`).join(' + ')}`,
				'Subject To',
				...slots.map((_, s) => [`s${s}`, fits.filter((fit) => fit.s === s)] as const),
				...copies.map((_, c) => [`c${c}`, fits.filter((fit) => fit.c === c)] as const)
			]
				.flatMap((line) =>
					typeof line === 'string'
						? [line]
						: line[1].length > 0
							? [`${line[0]}: ${sum(line[1])} <= 1`]
							: []
				)
				.concat('End')
				.join('\n');
			const { Status, ObjectiveValue } = highs.solve(model);
			expect(Status).toBe('Optimal');
			const [count = 0, first = 0, , second = 0] = scoreOf(slots, copies, fillSlots(slots, copies));
			expect(count * step * step + first * step + second).toBe(Math.round(ObjectiveValue));
			expect(count).toBeGreaterThan(60);
		}
	);
});

/** Sixty any-of slots over forty versions, each twice (two sets), and 150 copies; the same for a seed. */
function largeCase(seed: number): readonly [Slot[], Copy[]] {
	let state = seed;
	const random = (below: number) => {
		state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
		return Math.floor((state / 2 ** 32) * below);
	};
	const slots = Array.from({ length: 60 }, (_, i) => {
		const versions = [...new Set(Array.from({ length: 1 + random(3) }, () => `v${random(40)}`))];
		const leastCondition = random(5) === 0 ? ('very good' as const) : undefined;
		return [0, 1].map((tier) => ({
			key: `${i}#${tier}`,
			versions,
			leastCondition,
			tier,
			quantity: 1
		}));
	}).flat();
	const copies = Array.from({ length: 150 }, (_, i) => ({
		key: `c${i}`,
		version: `v${random(44)}`,
		condition: CONDITIONS[random(7)],
		quantity: 1
	}));
	return [slots, copies];
}

describe('fillGoals', () => {
	const slot = (key: string, ...versions: string[]): Slot => ({ key, versions, quantity: 1 });
	const copy = (key: string, of: string, condition: Copy['condition'], quantity = 1): Copy => ({
		key,
		version: of,
		condition,
		quantity
	});

	test('goals that share count the same copy; goals that keep their own do not', () => {
		const copies = [copy('x', 'a', 'mint'), copy('y', 'a', 'good')];
		const goals = (keepsOwn: boolean) =>
			['one', 'two', 'three'].map((key) => ({ key, keepsOwn, slots: [slot('1', 'a')] }));
		const shared = fillGoals(goals(false), copies);
		expect([...shared.values()].map(({ placements }) => placements[0]?.copy)).toEqual([
			'x',
			'x',
			'x'
		]);
		const apart = fillGoals(goals(true), copies);
		expect(
			[...apart.values()].map(({ placements }) => placements.map((placement) => placement.copy))
		).toEqual([['x'], ['y'], []]);
		expect(apart.get('three')?.missing).toEqual([{ slot: '1', quantity: 1 }]);
	});

	test('a goal that keeps its own gives way where only so both are filled', () => {
		// The first goal would take the better a; then nothing is left for the second.
		const filled = fillGoals(
			[
				{ key: 'first', keepsOwn: true, slots: [slot('1', 'a', 'b')] },
				{ key: 'second', keepsOwn: true, slots: [slot('1', 'a')] },
				{ key: 'guest', keepsOwn: false, slots: [slot('1', 'b'), slot('2', 'c')] }
			],
			[copy('x', 'a', 'mint'), copy('y', 'b', 'poor', 2), copy('z', 'c', 'good')]
		);
		expect(filled.get('first')?.placements).toEqual([{ slot: '1', copy: 'y' }]);
		expect(filled.get('second')?.placements).toEqual([{ slot: '1', copy: 'x' }]);
		expect(filled.get('guest')?.placements).toEqual([
			{ slot: '1', copy: 'y' },
			{ slot: '2', copy: 'z' }
		]);
	});

	test('the words stand in the scale of grades; a grade counts before a word', () => {
		expect(CONDITIONS.map(conditionRank)).toEqual([18, 14, 10, 6, 4, 2]);
		expect(qualityRank({ condition: 'poor', grade: 9.5 })).toBe(19);
		expect(qualityRank({ isAuthentic: true, condition: 'mint' })).toBe(1);
		expect(qualityRank({})).toBe(0);
	});
});
