import type { Fixing } from './fixing.ts';
import type { HubStep } from './hub-steps.ts';
import type { BoundAt, makeBound, Multipliers } from './lower-bound.ts';
import type { BuyingModel } from './model.ts';

/** The best bound so far of a step of the hub, with what it was reached with. */
export interface Raised {
	readonly bound: number;
	readonly at: Multipliers;
	/** How far a step goes, of the way to the best plan: it shrinks as the bound comes to rest. */
	readonly pace: number;
	/** The bound has come to rest, or is as high as the best plan. */
	readonly isDone: boolean;
	/** By seller and way (3 a seller): how often it was used of late, 0 to 1. */
	readonly use: Float64Array;
}

/** Steps without a gain after which they are made shorter. */
const PATIENCE = 12;
const SHORTER = 0.7;
const SHORTEST = 0.004;
const BEGINNING = 1.2;
/** What the last round counts of how often sellers are used. */
const LATEST = 0.06;

/**
 * Raises a bound by subgradient steps (Held, Wolfe and Crowder 1974, from memory): wants that nobody serves pay more,
 * those served too often pay less, by Polyak's length towards the best plan known.
 *
 * @param best the value of the best plan that is known
 * @param told is shown the sellers that the bound would use, each time it rises
 */
export function raiseBound(
	model: BuyingModel,
	boundAt: ReturnType<typeof makeBound>,
	step: HubStep | null,
	fixing: Fixing,
	from: Pick<Raised, 'at'> & Partial<Raised>,
	best: number,
	iterations: number,
	told: (found: BoundAt) => void = () => undefined
): Raised {
	const { need, penalty } = model;
	const cap = step === null ? Infinity : Math.min(step.cards, step.grams);
	let at = { want: from.at.want.slice(), hub: from.at.hub };
	let top = { want: at.want.slice(), hub: at.hub };
	let highest = from.bound ?? -Infinity;
	let pace = from.pace ?? BEGINNING;
	let idle = 0;
	const use = from.use?.slice() ?? new Float64Array(3 * model.sellers.length);
	for (let round = 0; round < iterations; round++) {
		const found = boundAt(at, fixing);
		for (let k = 0; k < use.length; k++) use[k] = (use[k] as number) * (1 - LATEST);
		for (let s = 0; s < found.way.length; s++) {
			const k = 3 * s + (found.way[s] as number);
			use[k] = (use[k] as number) + LATEST;
		}
		if (found.bound > highest + 1e-7) {
			highest = found.bound;
			top = { want: at.want.slice(), hub: at.hub };
			idle = 0;
			told(found);
		} else if (++idle >= PATIENCE) {
			pace *= SHORTER;
			idle = 0;
			at = { want: top.want.slice(), hub: top.hub };
			if (pace < SHORTEST) return { bound: highest, at: top, pace, isDone: true, use };
			continue;
		}
		if (found.bound === Infinity || highest >= best - 1e-6) {
			return { bound: Math.max(highest, found.bound), at: top, pace, isDone: true, use };
		}
		let norm = 0;
		const hubStep = cap < Infinity ? found.load - cap : 0;
		for (let i = 0; i < need.length; i++) {
			const off = offOf(i, found);
			norm += off * off;
		}
		const hubOff = hubStep > 0 || at.hub > 0 ? hubStep : 0;
		norm += hubOff * hubOff;
		if (norm < 1e-12) return { bound: highest, at: top, pace, isDone: true, use };
		const length = (pace * (best - found.bound)) / norm;
		for (let i = 0; i < need.length; i++) {
			const next = (at.want[i] as number) + length * offOf(i, found);
			at.want[i] = Math.min(penalty[i] as number, Math.max(0, next));
		}
		at.hub = Math.max(0, at.hub + length * hubOff);
	}
	return { bound: highest, at: top, pace, isDone: false, use };

	/** How many more of a want are asked for than taken; none where its price can go no further that way. */
	function offOf(i: number, { taken }: BoundAt): number {
		const off = (need[i] as number) - (taken[i] as number);
		const price = at.want[i] as number;
		if (off > 0 && price >= (penalty[i] as number)) return 0;
		return off < 0 && price <= 0 ? 0 : off;
	}
}
