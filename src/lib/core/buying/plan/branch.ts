import { OPEN, TAKEN, LEFT, type Fixing } from './fixing.ts';
import type { HubStep } from './hub-steps.ts';
import { makeBound, type BoundAt, type Multipliers } from './lower-bound.ts';
import { CLOSED, type BuyingModel, type Mode } from './model.ts';
import { raiseBound } from './raise-bound.ts';

/** A part of all plans that is still to be looked at. */
export interface Node {
	readonly step: HubStep | null;
	readonly fixing: Fixing;
	readonly at: Multipliers;
	/** No plan in it costs less. */
	readonly bound: number;
}

/** What looking at a node gave: parts of it, and sellers to try. */
export interface Branched {
	readonly children: readonly Node[];
	readonly bound: number;
	/** The sellers that its bound would use. */
	readonly way: Uint8Array;
	/** Where everything is fixed: the one plan that is left. */
	readonly last: Fixing | null;
}

const ITERATIONS = 40;
/** Costs are whole: a bound above this below the best plan leaves no better one. */
const WHOLE = 1 - 1e-6;

/** Makes the function that bounds a node and cuts it into parts; of what cannot be better than the best, none. */
export function makeBrancher(model: BuyingModel) {
	const bounds = new Map<HubStep | null, ReturnType<typeof makeBound>>();
	const boundOf = (step: HubStep | null) => {
		const known = bounds.get(step) ?? makeBound(model, step);
		bounds.set(step, known);
		return known;
	};

	return (node: Node, best: number): Branched => {
		const boundAt = boundOf(node.step);
		let way = new Uint8Array(model.sellers.length);
		const told = (found: BoundAt) => {
			way = found.way.slice();
		};
		const { bound, at, use } = raiseBound(
			model,
			boundAt,
			node.step,
			node.fixing,
			{ at: node.at, pace: 0.6 },
			best,
			ITERATIONS,
			told
		);
		const highest = Math.max(bound, node.bound);
		if (!(highest <= best - WHOLE)) return { children: [], bound: highest, way, last: null };
		const found = boundAt(at, node.fixing);
		const fixing = fixByReducedCost(node.fixing, found, best);
		const child = (part: Partial<Fixing>): Node => ({
			step: node.step,
			fixing: { ...fixing, ...part },
			at,
			bound: highest
		});
		const parts = cut(fixing, found, use);
		const isPossible = fixing.ways.every((some) => some.length > 0);
		const last = parts.length === 0 && isPossible ? fixing : null;
		return { children: parts.map(child), bound: highest, way, last };
	};

	/** Ways of sellers that cannot be in a better plan are left out. */
	function fixByReducedCost(
		fixing: Fixing,
		{ bound, value, byWay }: BoundAt,
		best: number
	): Fixing {
		if (model.mostSellers < model.sellers.length) return fixing;
		const ways = fixing.ways.map((some, s) =>
			some.filter(
				(mode) => bound - (value[s] as number) + (byWay[3 * s + mode] as number) <= best - WHOLE
			)
		);
		return { ...fixing, ways };
	}

	/** Parts of all plans of a fixing that together are all of it; none where everything is fixed or impossible. */
	function cut(fixing: Fixing, found: BoundAt, use: Float64Array): readonly Partial<Fixing>[] {
		const { ways, least, most, bundle } = fixing;
		if (ways.some((some) => some.length === 0)) return [];
		// The seller that the bound is least decided about.
		let [chosen, undecided] = [-1, -1];
		for (const [s, some] of ways.entries()) {
			if (some.length < 2) continue;
			const most = Math.max(...some.map((mode) => use[3 * s + mode] as number));
			const value = Math.max(...some.map((mode) => found.byWay[3 * s + mode] as number));
			// Of those decided, that whose other way costs least.
			const doubt = 1 - most + 1e-6 / (1 + Math.abs(value));
			if (doubt > undecided) [chosen, undecided] = [s, doubt];
		}
		if (chosen >= 0) {
			const some = ways[chosen] ?? [];
			const first = some.reduce((a, b) =>
				(use[3 * chosen + b] as number) > (use[3 * chosen + a] as number) ? b : a
			);
			const withWays = (left: readonly Mode[]) =>
				ways.map((each, s) => (s === chosen ? left : each));
			const others = some.filter((mode) => mode !== first);
			return [{ ways: withWays([first]) }, { ways: withWays(others) }];
		}
		const b = bundle.indexOf(OPEN);
		if (b >= 0) {
			return [LEFT, TAKEN].map((state) => {
				const changed = bundle.slice();
				changed[b] = state;
				return { bundle: changed };
			});
		}
		const a = openArc(fixing, found);
		if (a < 0) return [];
		const middle = Math.floor(((least[a] as number) + (most[a] as number)) / 2);
		const lower = most.slice();
		lower[a] = middle;
		const upper = least.slice();
		upper[a] = middle + 1;
		return [{ least: upper }, { most: lower }];
	}

	/** An arc that is not fixed: of a want served too often or not enough first, the dearest first; -1: all are. */
	function openArc({ ways, least, most }: Fixing, { taken }: BoundAt): number {
		let [chosen, worst] = [-1, -1];
		for (let a = 0; a < least.length; a++) {
			if ((least[a] as number) >= (most[a] as number)) continue;
			const o = model.arcOffer[a] as number;
			if (ways[model.offerSeller[o] as number]?.[0] === CLOSED) continue;
			const i = model.arcWant[a] as number;
			const off = Math.abs((model.need[i] as number) - (taken[i] as number));
			const cost = ((model.offerCost[o] as Float64Array)[1] as number) / 1e9;
			if (off + cost > worst) [chosen, worst] = [a, off + cost];
		}
		return chosen;
	}
}
