import { PRIORITY_WEIGHT, type Priority } from '../wants/wants-list.ts';

/** What wants of other goals count for while one goal is to get on: they fill what is left of a budget. */
const HARDLY = 0.001;

/**
 * What a card of each want counts for within a budget: its priority; or, where one goal is to get on, 1 for what it
 * asks for and next to nothing for the rest.
 *
 * @example [...budgetWeights([{ priority: 1 }, { priority: 3 }], null), ...budgetWeights([{ priority: 1 }, { priority: 3 }], (want) => want.priority === 3)] // [4, 1, 0.001, 1]
 */
export function budgetWeights<Want extends { readonly priority: Priority }>(
	wants: readonly Want[],
	isOfGoal: ((want: Want) => boolean) | null
): Float64Array {
	return Float64Array.from(wants, (want) =>
		isOfGoal ? (isOfGoal(want) ? 1 : HARDLY) : PRIORITY_WEIGHT[want.priority]
	);
}
