import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { BuyingModel } from '../../../core/buying/plan/model.ts';
import { searchPlan, type SearchState } from '../../../core/buying/plan/search-plan.ts';

/** How near to the least a plan has to be, and how long it is searched at most. */
const GAP = 0.005;
const LONGEST_MS = 6000;
const MOST_NODES = 4000;

/** Searches until the plan is near enough or the time is over; the same each time, but for the time. */
export function searchFor(
	model: BuyingModel,
	told: (state: SearchState) => void,
	longestMs = LONGEST_MS
): SearchState {
	const generator = xoroshiro128plus(1);
	const random = () => uniformFloat64(generator);
	const search = searchPlan(model, { random, gap: GAP, mostNodes: MOST_NODES });
	const end = performance.now() + longestMs;
	for (;;) {
		const { value, done } = search.next();
		told(value);
		if (done || performance.now() > end) return value;
	}
}
