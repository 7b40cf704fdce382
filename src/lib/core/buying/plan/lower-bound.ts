import { BY_HUB, CLOSED, type BuyingModel, type Mode } from './model.ts';
import type { Fixing } from './fixing.ts';
import type { HubStep } from './hub-steps.ts';
import { makeSellerProblem } from './seller-problem.ts';

/** What wants pay in a bound, each of its cards, and what a place of the hub's step costs (a card or a gram). */
export interface Multipliers {
	readonly want: Float64Array;
	readonly hub: number;
}

/** A bound at some multipliers, with what its sellers would take. Buffers are used again by the next call. */
export interface BoundAt {
	/** No plan costs less, in minor units. */
	readonly bound: number;
	/** By seller: the best value of its ways (closed: 0), and which way that is. */
	readonly value: Float64Array;
	readonly way: Uint8Array;
	/** By seller and way (3 a seller): its value that way; Infinity where it is not open to it. */
	readonly byWay: Float64Array;
	/** By want: how many are taken, in parts. */
	readonly taken: Float64Array;
	/** Cards or grams that go by the hub. */
	readonly load: number;
}

/**
 * Makes the Lagrangian bound for one step of the hub. Every want pays its multiplier for each card; every seller takes
 * what pays for itself, alone: the sum is below the cost of every plan (Geoffrion 1974; for choosing where to buy
 * Erlenkotter 1978, Beasley 1993; from memory). A seller's own problem is solved exactly where postage is so much a
 * card; steps, thresholds and lots are relaxed to their convex hull, so that it stays a bound.
 */
export function makeBound(model: BuyingModel, step: HubStep | null) {
	const { sellers, need, penalty, offersOf, firstArc, arcWant, mostSellers } = model;
	const { offerPieces, offerGrams } = model;
	const value = new Float64Array(sellers.length);
	const way = new Uint8Array(sellers.length);
	const byWay = new Float64Array(3 * sellers.length);
	const taken = new Float64Array(need.length);
	const isByGrams = step !== null && step.grams < Infinity;
	const cap = step === null ? Infinity : Math.min(step.cards, step.grams);
	const { ofClosed, ofOpen, keep, kept, keptBundle, bundlesOf } = makeSellerProblem(model, step);

	return ({ want: price, hub }: Multipliers, fixing: Fixing): BoundAt => {
		let bound = step === null ? 0 : step.minor - (cap < Infinity ? hub * cap : 0);
		for (let i = 0; i < need.length; i++) {
			bound += (need[i] as number) * Math.min(price[i] as number, penalty[i] as number);
		}
		for (let s = 0; s < sellers.length; s++) {
			let least = Infinity;
			let best: number = CLOSED;
			byWay.fill(Infinity, 3 * s, 3 * s + 3);
			for (const mode of fixing.ways[s] as readonly Mode[]) {
				if (mode === BY_HUB && step === null) continue;
				const found = mode === CLOSED ? ofClosed(s, fixing) : ofOpen(s, mode, price, hub, fixing);
				byWay[3 * s + mode] = found;
				if (found >= least) continue;
				[least, best] = [found, mode];
				if (mode !== CLOSED) keep(s);
			}
			value[s] = least;
			way[s] = best;
		}
		bound += sumOfSellers();
		return { bound, value, way, byWay, taken, load: gather() };
	};

	/** Every seller's value, or where there may not be so many, the best of them. */
	function sumOfSellers(): number {
		if (mostSellers >= sellers.length) return value.reduce((sum, each) => sum + each, 0);
		let sum = 0;
		const order = [...value.keys()].sort((a, b) => (value[a] as number) - (value[b] as number));
		let open = 0;
		for (const s of order) {
			if (way[s] === CLOSED) sum += value[s] as number;
			else if (open < mostSellers || sellers[s]?.isIn) {
				sum += value[s] as number;
				open++;
			} else way[s] = CLOSED;
		}
		return sum;
	}

	/** Counts what is taken of each want; gives what goes by the hub. */
	function gather(): number {
		taken.fill(0);
		let load = 0;
		for (let s = 0; s < sellers.length; s++) {
			if (way[s] === CLOSED) continue;
			const isByHub = way[s] === BY_HUB;
			const offers = offersOf[s] as Int32Array;
			for (let k = 0; k < offers.length; k++) {
				const o = offers[k] as number;
				let count = 0;
				for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
					const many = kept[a] as number;
					const i = arcWant[a] as number;
					taken[i] = (taken[i] as number) + many;
					count += many;
				}
				if (!isByHub || count === 0) continue;
				const most = Math.ceil(count);
				const pieces = ((offerPieces[o] as Int32Array)[most] as number) * (count / most);
				load += isByGrams ? pieces * (offerGrams[o] as number) : pieces;
			}
			for (const { b, wants, pieces, grams } of bundlesOf[s] ?? []) {
				const share = keptBundle[b] as number;
				for (const { want, count } of wants) taken[want] = (taken[want] as number) + share * count;
				if (isByHub) load += share * (isByGrams ? grams : pieces);
			}
		}
		return load;
	}
}
