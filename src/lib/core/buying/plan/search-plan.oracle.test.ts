import loadHighs from 'highs';
import { describe, expect, test } from 'vitest';
import { asLinearProgram } from './as-linear-program.fixture.ts';
import { compileModel, type PlanLimits } from './compile-model.ts';
import { costOfSelection } from './cost-of-selection.ts';
import { drawMarket, seeded, type MarketShape } from './drawn-market.fixture.ts';
import { BY_HUB, CLOSED, DIRECT, emptySelection, type BuyingModel } from './model.ts';
import { searchPlan, type SearchState } from './search-plan.ts';

const run = (model: BuyingModel, random: () => number, gap = 0, mostNodes = 20_000) => {
	const states: SearchState[] = [];
	const search = searchPlan(model, { random, gap, mostNodes });
	for (;;) {
		const { value, done } = search.next();
		states.push(value);
		if (done) return { states, last: value };
	}
};

/** The least cost by trying every way of every seller, every number of every arc, every bundle. */
function leastByTrying(model: BuyingModel): number {
	const selection = emptySelection(model);
	const { arcsOf, arcOffer, offerMost, offerSeller, need, sellers, bundles } = model;
	let least = Infinity;
	const used = new Int32Array(offerMost.length);
	const ways = (s: number) => [
		CLOSED,
		...(sellers[s]?.direct ? [DIRECT] : []),
		...(sellers[s]?.toHub && model.hub ? [BY_HUB] : [])
	];
	const trySellers = (s: number): void => {
		if (s === sellers.length) return tryBundles(0);
		for (const way of ways(s)) {
			selection.mode[s] = way;
			trySellers(s + 1);
		}
	};
	const tryBundles = (b: number): void => {
		if (b === bundles.length) return tryArcs(0, 0, need[0] ?? 0);
		for (const state of [0, 1]) {
			if (state === 1 && selection.mode[bundles[b]?.seller ?? 0] === CLOSED) continue;
			selection.bundle[b] = state;
			tryBundles(b + 1);
		}
		selection.bundle[b] = 0;
	};
	const tryArcs = (i: number, k: number, left: number): void => {
		if (i === need.length) {
			least = Math.min(least, costOfSelection(model, selection).value);
			return;
		}
		const a = arcsOf[i]?.[k];
		if (a === undefined) return tryArcs(i + 1, 0, need[i + 1] ?? 0);
		const o = arcOffer[a] ?? 0;
		const isOpen = selection.mode[offerSeller[o] ?? 0] !== CLOSED;
		const most = isOpen ? Math.min(left, (offerMost[o] ?? 0) - (used[o] ?? 0)) : 0;
		for (let n = 0; n <= most; n++) {
			selection.take[a] = n;
			used[o] = (used[o] ?? 0) + n;
			tryArcs(i, k + 1, left - n);
			used[o] = (used[o] ?? 0) - n;
		}
		selection.take[a] = 0;
	};
	trySellers(0);
	return least;
}

const drawn = (shape: Partial<MarketShape>, seed: number, limits: PlanLimits = {}) => {
	const random = seeded(seed);
	const usual = { wants: 4, sellers: 3, density: 0.6, isRich: true, hasHub: true };
	const problem = drawMarket({ ...usual, ...shape }, random);
	return { ...compileModel({ ...problem, limits }), problem, random };
};

describe('searchPlan', () => {
	const small: readonly [Partial<MarketShape>, number, PlanLimits][] = [
		...Array.from({ length: 14 }, (_, seed): [Partial<MarketShape>, number, PlanLimits] => [
			{ hasHub: seed % 2 === 0, isRich: seed % 3 !== 0 },
			seed,
			{}
		]),
		[{}, 31, { mostSellers: 1 }],
		[{}, 32, { mostSellers: 2 }],
		[{ sellers: 4, wants: 3 }, 33, { with: ['s1'] }],
		[{ sellers: 4, wants: 3 }, 34, { without: ['s0'], mostSellers: 2 }]
	];
	test.each(small)('%j, seed %i, %j: is the least of all that can be', (shape, seed, limits) => {
		const { model, random } = drawn(shape, seed, limits);
		const { last } = run(model, random);
		const least = leastByTrying(model);
		expect(last.isProven).toBe(true);
		expect(last.value).toBeCloseTo(least, 6);
		expect(costOfSelection(model, last.best).value).toBeCloseTo(last.value, 6);
	});

	// The raw solver judges: the same problem as a mixed-integer program, which shares no code with the search.
	const middle: readonly [Partial<MarketShape>, number][] = [
		[{ wants: 12, sellers: 6, density: 0.5, isRich: false }, 101],
		[{ wants: 12, sellers: 6, density: 0.5 }, 102],
		[{ wants: 20, sellers: 8, density: 0.4 }, 103],
		[{ wants: 20, sellers: 8, density: 0.4, hasHub: false }, 104],
		[{ wants: 24, sellers: 8, density: 0.4, isRich: false }, 105],
		[{ wants: 16, sellers: 10, density: 0.3 }, 106]
	];
	test.each(middle)(
		'%j, seed %i: no better plan by the raw solver, no bound above it',
		async (shape, seed) => {
			const highs = await loadHighs();
			const { model, random } = drawn(shape, seed);
			const { states, last } = run(model, random, 0, 300);
			const { ObjectiveValue: least, Status } = highs.solve(asLinearProgram(model), {
				mip_rel_gap: 0
			});
			expect(Status).toBe('Optimal');
			for (const { value, bound } of states) {
				expect(bound).toBeLessThanOrEqual(least + 1e-3);
				expect(value).toBeGreaterThanOrEqual(least - 1e-3);
			}
			// ≤ 1 % above the least, proven to be the least where it says so.
			expect(last.value).toBeLessThanOrEqual(least * 1.01);
			if (last.isProven) expect(last.value).toBeCloseTo(least, 3);
			expect(states[0]?.value ?? Infinity).toBeLessThanOrEqual(least * 1.1);
		}
	);

	test('a middling market is proven to within a percent, each state no worse than the one before', () => {
		const { model, random } = drawn({ wants: 80, sellers: 20, density: 0.35, isRich: false }, 201);
		const { states, last } = run(model, random, 0.01);
		expect(last.value - last.bound).toBeLessThanOrEqual(0.01 * last.value);
		for (let i = 1; i < states.length; i++) {
			expect(states[i]?.value).toBeLessThanOrEqual(states[i - 1]?.value ?? 0);
		}
	});

	test('nothing wanted, nothing offered, nobody open: nothing is bought', () => {
		const empty = { wants: [], offers: [], bundles: [], sellers: [], hub: null, limits: {} };
		expect(run(compileModel(empty).model, seeded(1)).last).toMatchObject({
			value: 0,
			isProven: true
		});
		const { problem } = drawn({}, 1);
		const shut = compileModel({
			...problem,
			limits: { without: problem.sellers.map(({ key }) => key) }
		});
		expect(shut.unserved.length).toBe(problem.wants.length);
		expect(run(shut.model, seeded(1)).last).toMatchObject({ value: 0, isProven: true });
	});
});

test('facility location: the uncapacitated example of a textbook, as sellers whose postage is one fee', () => {
	// Wolsey, Integer Programming, ch. 10, example of Lagrangian duality: six clients, five depots, what serving a
	// client brings and what opening a depot costs (data from memory). The best of all 31 sets of depots brings 28.
	const brings = [
		[6, 2, 1, 3, 5],
		[4, 10, 2, 6, 1],
		[3, 2, 4, 1, 3],
		[2, 0, 4, 1, 4],
		[1, 8, 6, 2, 5],
		[3, 2, 4, 8, 1]
	];
	const fees = [2, 4, 5, 3, 3];
	// A client brings less, so a card costs more: each is 10 for a depot that brings nothing.
	const { model } = compileModel({
		wants: brings.map((_, i) => ({
			...{ key: `w${i}`, versions: [`r/base-${i}`], quantity: 1 },
			...{ priority: 2 as const, mostMinor: null }
		})),
		sellers: fees.map((firstMinor, j) => ({
			...{ key: `s${j}`, name: `Depot ${j + 1}`, toHub: null },
			direct: { sort: 'each' as const, firstMinor, furtherMinor: 0 }
		})),
		offers: brings.flatMap((row, i) =>
			row.map((minor, j) => ({
				...{ key: `${i} ${j}`, seller: `s${j}`, version: `r/base-${i}`, quantity: 1 },
				breaks: [{ count: 1, minor: 10 - minor }]
			}))
		),
		...{ bundles: [], hub: null, limits: {} }
	});
	let best = 0;
	for (let set = 1; set < 2 ** fees.length; set++) {
		const isOpen = (j: number) => (set & (1 << j)) > 0;
		const fee = fees.reduce((sum, each, j) => sum + (isOpen(j) ? each : 0), 0);
		const brought = brings.map((row) => Math.max(...row.filter((_, j) => isOpen(j))));
		best = Math.max(best, brought.reduce((sum, each) => sum + each, 0) - fee);
	}
	expect(best).toBe(28);
	const { last } = run(model, seeded(1));
	expect(last.isProven).toBe(true);
	expect(last.value).toBe(10 * brings.length - 28);
	expect(last.bound).toBe(last.value);
});
