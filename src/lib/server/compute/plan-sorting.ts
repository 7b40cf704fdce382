import { dealPasses, namePile } from '../../core/storage/sorting/deal-passes.ts';
import { pileBorders, sortingWays } from '../../core/storage/sorting/plan-sorting.ts';
import { planMixedSorting } from '../../core/storage/sorting/plan-mixed-sorting.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import {
	PlanSortingInput,
	PlanSortingOutput,
	type PlanSortingRequest
} from '../../schemas/compute-sorting.ts';
import { defineComputation } from './define-computation.ts';

export const planSortingComputation = defineComputation({
	name: 'plan-sorting',
	summary: 'Ways to sort cards, the quickest first, and the borders of the piles.',
	input: PlanSortingInput,
	output: PlanSortingOutput,
	run({ cards, numbers, mixed, mostPiles, times }: PlanSortingRequest) {
		const sets = mixed?.map(({ isNumbered = true, ...set }) => ({ ...set, isNumbered }));
		const problems: readonly Problem[] = [
			...(sets || (cards !== undefined && numbers !== undefined)
				? []
				: [
						{
							pointer: '/cards',
							message: 'nothing is to be sorted',
							remedy: 'Give cards and numbers, or the sets of a mixed pile.'
						}
					]),
			...(sets ?? []).flatMap(({ key, thick = 0, cards: of }, i) =>
				thick > of
					? [
							{
								pointer: `/mixed/${i}/thick`,
								message: `${thick} of ${of} cards of "${key}" are thick`,
								remedy: 'Count them among its cards.'
							}
						]
					: []
			)
		];
		if (problems.length > 0) return bad(problems);
		const plan = sets ? planMixedSorting(sets, mostPiles, times) : null;
		if (cards === undefined || numbers === undefined) {
			return good({ ways: [], borders: [], passes: [], mixed: plan });
		}
		const count = typeof numbers === 'number' ? numbers : numbers.length;
		const ways = sortingWays(cards, count, mostPiles, times);
		const last = ways[0]?.piles.at(-1);
		const borders =
			typeof numbers === 'number' || last === undefined ? [] : pileBorders(numbers, last);
		const [best] = ways;
		const dealt =
			typeof numbers !== 'number' && best?.way === 'passes' ? dealPasses(numbers, best.piles) : [];
		const all = typeof numbers === 'number' ? [] : numbers;
		const places = new Map(all.map((number, place) => [number, place]));
		const passes = dealt.map((piles) =>
			piles.map((pile) => namePile(pile, all, (number) => places.get(number) ?? -1))
		);
		return good({ ways, borders, passes, mixed: plan });
	}
});
