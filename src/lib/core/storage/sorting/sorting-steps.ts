import { dealPasses, type Pass } from './deal-passes.ts';
import type { SortingPlan, SortingWay } from './plan-sorting.ts';

/** Piles of each step of a sorting slip, in order; 0: a step by hand, without piles. */
export function sortingSteps({
	way,
	piles
}: Pick<SortingPlan, 'way' | 'piles'>): readonly number[] {
	if (way === 'passes') return piles.length > 0 ? piles : [0];
	return way === 'deal and insert' ? [...piles, 0] : [0];
}

/**
 * What goes on each pile in each step. Passes tell all numbers apart; a single deal leaves even runs of
 * them, within which cards are inserted by hand. A step by hand has no piles; so has one whose piles are
 * too few for the numbers, as when the checklist has grown since.
 */
export function stepPiles(
	way: SortingWay,
	steps: readonly number[],
	numbers: readonly string[]
): readonly Pass[] {
	const dealt = steps.filter((piles) => piles > 0);
	const product = dealt.reduce((all, count) => all * count, 1);
	if (way === 'passes' && product >= numbers.length) return dealPasses(numbers, dealt);
	const [piles] = dealt;
	if (piles === undefined || numbers.length === 0) return [];
	return dealPasses(numbers, [Math.ceil(numbers.length / piles), piles]).slice(1);
}
