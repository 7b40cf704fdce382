import { makeBrancher, type Node } from './branch.ts';
import { costOfSelection } from './cost-of-selection.ts';
import { openFixing, type Fixing } from './fixing.ts';
import { hubSteps } from './hub-steps.ts';
import { makeBound } from './lower-bound.ts';
import { CLOSED, copySelection, type BuyingModel, type Selection } from './model.ts';
import { raiseBound, type Raised } from './raise-bound.ts';
import { makeSellerSearch, waysOf, type Found } from './search-sellers.ts';
import { pricesOf } from './starting-prices.ts';

/** How far a search is: the best plan so far, and what no plan can cost less than. */
export interface SearchState {
	readonly best: Selection;
	/** What it is judged by: what is paid, and the penalties of what is not got. */
	readonly value: number;
	readonly bound: number;
	/** The search is over: nothing is left that could be better. */
	readonly isProven: boolean;
	/** What it is at: a first plan, raising bounds, changing plans at random, looking at what is left. */
	readonly phase: 'first' | 'bounds' | 'shaking' | 'proof';
}

export interface SearchOptions {
	/** A number from 0 to below 1, each time another one. */
	readonly random: () => number;
	/** It ends when the gap is not larger than this part of the value; 0: only with proof. */
	readonly gap: number;
	/** The most parts that are looked at for the proof. */
	readonly mostNodes: number;
}

const ROUND = 40;
const MOST_ROUNDS = 60;
/** Changes at random that may fail one after the other. */
const SHAKES = 25;
/** The same before a small problem’s first plan is told. */
const FIRST_SHAKES = 3;
/** How often bounds and changes take turns; rounds of bounds before that, and what a round must gain. */
const PASSES = 3;
const QUICK_ROUNDS = 3;
const SLOW = 3e-4;
/** Offers of wants up to which the first plan is improved before it is told. */
const AT_ONCE = 2500;
/** How far a beginning may be above the best, that it is improved further. */
const NEAR = 1.08;
/** How fast a bound is taken up again, and how much it must have gained to be so once more. */
const RESTART_PACE = 0.4;
const WORTH_A_RESTART = 1e-4;
const WHOLE = 1 - 1e-6;

/**
 * Searches for the cheapest plan: a first one at once, then bounds for each step of the hub, with the sellers that
 * they would use as new beginnings; then changes at random; then, with what bounds leave open, exactly. After each
 * stretch of work it tells how far it is, so that whoever asks can stop it and keep the best.
 */
export function* searchPlan(
	model: BuyingModel,
	{ random, gap, mostNodes }: SearchOptions
): Generator<SearchState, SearchState> {
	const ways = waysOf(model);
	const search = makeSellerSearch(model, ways);
	let best: Found = { selection: search.start(), value: Infinity };
	const seen = new Set<string>();
	const steps = hubSteps(model.hub).map((step) => ({
		step,
		boundAt: makeBound(model, step),
		raised: null as Raised | null
	}));
	let phase: SearchState['phase'] = 'first';
	let lowest = -Infinity;
	let restedAt = -Infinity;

	const boundOfAll = () =>
		Math.min(...steps.map(({ raised }) => raised?.bound ?? -Infinity), best.value);
	const tell = (isProven = false): SearchState => ({
		...{ best: best.selection, value: best.value, phase, isProven },
		bound: isProven ? best.value : Math.min(best.value, Math.max(lowest, boundOfAll()))
	});
	const take = (found: Found): boolean => {
		if (!(found.value < best.value - 1e-6)) return false;
		best = { selection: copySelection(found.selection), value: found.value };
		return true;
	};
	const descendFrom = (mode: Uint8Array) => {
		const name = mode.join('');
		if (seen.has(name)) return;
		seen.add(name);
		const start = search.start();
		start.mode.set(mode);
		for (const [s, some] of ways.entries()) {
			if (!some.includes(start.mode[s] as 0)) start.mode[s] = some[0] ?? CLOSED;
		}
		const settled = search.settle(start);
		take(settled);
		// What is far off is not worth the way down.
		if (settled.value <= NEAR * best.value) take(search.descend(settled.selection));
	};
	const isEnough = () => {
		const { value, bound } = tell();
		return bound > value - WHOLE || value - bound <= gap * value;
	};

	const isSmall = model.arcWant.length < AT_ONCE;
	const built = [search.build(false), ...(isSmall && model.hub ? [search.build(true)] : [])];
	for (const found of built) take(found);
	// What it lacks may be had all the same.
	const isOpen = costOfSelection(model, best.selection).uncovered > 0;
	if (isOpen) descendFrom(best.selection.mode);
	if (isSmall) {
		for (const { selection } of built) descendFrom(selection.mode.slice());
		for (let n = 0; n < FIRST_SHAKES; n++) descendFrom(shaken());
	}
	yield tell();
	if (model.hub) take(search.build(true));
	descendFrom(best.selection.mode);
	if (best.value === Infinity) {
		// Something has to be bought everywhere, or a first seller alone does not help.
		const mode = search.start().mode;
		for (const [s, some] of ways.entries()) mode[s] = some.at(-1) ?? CLOSED;
		descendFrom(mode);
	}
	yield tell();

	const fixing = openFixing(model, ways);
	// A better plan closes more sellers to the bound, so bounds are taken up again after it.
	for (let pass = 0; pass < PASSES; pass++) {
		const before = best.value;
		yield* raiseBounds(pass === PASSES - 1);
		if (isEnough() && gap > 0) return tell(tell().bound > best.value - WHOLE);
		yield* shake();
		if (isEnough() && gap > 0) return tell(tell().bound > best.value - WHOLE);
		if (best.value === before) break;
	}

	phase = 'proof';
	const branch = makeBrancher(model);
	const open: Node[] = steps.flatMap(({ step, raised }) =>
		raised ? [{ step, fixing, at: raised.at, bound: raised.bound }] : []
	);
	for (let n = 0; n < mostNodes; n++) {
		// The part with the lowest bound raises the bound of all; every other time the newest, to find plans.
		const at = n % 2 === 0 ? lowestOf(open) : open.length - 1;
		const [node] = open.splice(at, 1);
		if (!node) return tell(true);
		if (node.bound > best.value - WHOLE) continue;
		const { children, way, bound, last } = branch(node, best.value);
		descendFrom(way);
		if (last) takeFixed(last);
		for (const child of [...children].reverse()) if (bound <= best.value - WHOLE) open.push(child);
		lowest = open.reduce((least, { bound: each }) => Math.min(least, each), best.value);
		if (n % 8 === 7) {
			yield tell();
			if (gap > 0 && isEnough()) break;
		}
	}
	return tell(open.every(({ bound }) => bound > best.value - WHOLE));

	/** Raises the bounds of all steps in turn, until they rest; but for the last pass, until they rise slowly. */
	function* raiseBounds(isLast: boolean): Generator<SearchState, void> {
		phase = 'bounds';
		let before = tell().bound;
		for (let round = 0; round < MOST_ROUNDS; round++) {
			let isMoving = false;
			for (const place of steps) {
				const { raised, boundAt, step } = place;
				if (raised && (raised.isDone || raised.bound > best.value - WHOLE)) continue;
				isMoving = true;
				const from = raised ?? { at: { want: pricesOf(model, best.selection), hub: 0 } };
				const offered: Uint8Array[] = [];
				place.raised = raiseBound(
					model,
					boundAt,
					step,
					fixing,
					from,
					best.value,
					ROUND,
					({ way }) => {
						offered[0] = way.slice();
					}
				);
				if (offered[0]) descendFrom(offered[0]);
			}
			yield tell();
			if (isEnough()) return;
			const { bound } = tell();
			if (!isLast && round >= QUICK_ROUNDS && bound - before < SLOW * best.value) return;
			before = bound;
			if (isMoving) continue;
			// At rest, but against a worse plan, perhaps: the lowest is taken up again while that helps.
			const lowestStep = leastOf(steps, ({ raised }) => raised?.bound ?? Infinity);
			const { raised } = lowestStep ?? {};
			const isRested = raised && raised.bound < restedAt * (1 + WORTH_A_RESTART);
			if (!raised || isRested || raised.bound > best.value - WHOLE) return;
			restedAt = raised.bound;
			if (lowestStep) lowestStep.raised = { ...raised, pace: RESTART_PACE, isDone: false };
		}
	}

	/** The sellers of the best plan, but for one to three closed and as many opened at random. */
	function shaken(): Uint8Array {
		const mode = best.selection.mode.slice();
		const open = [...mode.keys()].filter((s) => mode[s] !== CLOSED);
		const shut = [...mode.keys()].filter((s) => mode[s] === CLOSED);
		for (let k = 0; k < 1 + Math.floor(random() * 3); k++) {
			const s = open[Math.floor(random() * open.length)];
			const t = shut[Math.floor(random() * shut.length)];
			if (s !== undefined && ways[s]?.includes(CLOSED)) mode[s] = CLOSED;
			const some = t === undefined ? undefined : ways[t];
			if (t !== undefined && some) mode[t] = some[Math.floor(random() * some.length)] ?? CLOSED;
		}
		return mode;
	}

	/** Changes a few sellers of the best plan at random, until that has not helped for a while. */
	function* shake(): Generator<SearchState, void> {
		phase = 'shaking';
		for (let n = 0, last = 0; n - last < SHAKES && !isEnough(); n++) {
			const { value } = best;
			descendFrom(shaken());
			if (best.value < value) last = n;
			if (n % 5 === 4) yield tell();
		}
		yield tell();
	}

	/** Where everything is fixed, the plan that is left is costed as it is. */
	function takeFixed({ ways: some, least, bundle }: Fixing): void {
		const selection = search.start();
		for (const [s, each] of some.entries()) selection.mode[s] = each[0] ?? CLOSED;
		for (const [b, state] of bundle.entries()) selection.bundle[b] = state === 1 ? 1 : 0;
		for (const [a, each] of least.entries()) selection.take[a] = isOpenArc(a) ? each : 0;
		take({ selection, value: costOfSelection(model, selection).value });

		function isOpenArc(a: number): boolean {
			return some[model.offerSeller[model.arcOffer[a] as number] as number]?.[0] !== CLOSED;
		}
	}
}

function leastOf<Thing>(things: readonly Thing[], of: (thing: Thing) => number): Thing | undefined {
	let found = things[0];
	for (const thing of things) if (found !== undefined && of(thing) < of(found)) found = thing;
	return found;
}

function lowestOf(nodes: readonly Node[]): number {
	let at = 0;
	for (let i = 1; i < nodes.length; i++) {
		if ((nodes[i] as Node).bound < (nodes[at] as Node).bound) at = i;
	}
	return at;
}
