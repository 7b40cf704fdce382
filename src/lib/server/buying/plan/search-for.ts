import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { BuyingModel } from '../../../core/buying/plan/model.ts';
import { searchPlan, type SearchState } from '../../../core/buying/plan/search-plan.ts';

interface SearchLimits {
	/** How near to the least a plan has to be, as a part of it. */
	readonly gap: number;
	/** How long it is searched at most. */
	readonly longestMs: number;
	readonly seed?: number;
}

const MOST_NODES = 5000;

/** Searches until the plan is near enough or the time is over; the same each time, but for the time. */
export function searchFor(
	model: BuyingModel,
	{ gap, longestMs, seed = 1 }: SearchLimits,
	told: (state: SearchState) => void = () => undefined
): SearchState {
	const generator = xoroshiro128plus(seed);
	const random = () => uniformFloat64(generator);
	const search = searchPlan(model, { random, gap, mostNodes: MOST_NODES });
	const end = performance.now() + longestMs;
	for (;;) {
		const { value, done } = search.next();
		told(value);
		if (done || performance.now() > end) return value;
	}
}
