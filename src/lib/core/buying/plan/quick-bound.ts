import { openFixing } from './fixing.ts';
import { hubSteps } from './hub-steps.ts';
import { makeBound } from './lower-bound.ts';
import { emptySelection, type BuyingModel } from './model.ts';
import { raiseBound } from './raise-bound.ts';
import { waysOf } from './search-sellers.ts';
import { pricesOf } from './starting-prices.ts';

const ITERATIONS = 80;

/**
 * Makes a function that gives a lower bound of cost + penalties, for penalties that are tried: a few steps for each step
 * of the hub.
 */
export function quickBound(model: BuyingModel): (penalty: Float64Array, best: number) => number {
	const fixing = openFixing(model, waysOf(model));
	return (penalty, best) => {
		const judged = { ...model, penalty };
		const at = { want: pricesOf(judged, emptySelection(model)), hub: 0 };
		return Math.min(
			...hubSteps(model.hub).map(
				(step) =>
					raiseBound(judged, makeBound(judged, step), step, fixing, { at }, best, ITERATIONS).bound
			)
		);
	};
}
