import { planMoves } from '../../core/binder/plan-moves.ts';
import { settleRuns } from '../../core/binder/settle-runs.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import {
	PlanMovesInput,
	PlanMovesOutput,
	type PlanMovesRequest
} from '../../schemas/compute-binder.ts';
import { repeated } from './repeated.ts';
import { defineComputation } from './define-computation.ts';

export const planMovesComputation = defineComputation({
	name: 'plan-moves',
	summary: 'The fewest moves from how cards lie in pockets to how they should.',
	input: PlanMovesInput,
	output: PlanMovesOutput,
	run({ now, target = [], runs = [] }: PlanMovesRequest) {
		const crowded = runs.flatMap(({ pockets, items }, i): Problem[] =>
			items.length > pockets.length
				? [
						{
							pointer: `/runs/${i}/items`,
							field: 'items',
							message: `${items.length} cards for ${pockets.length} pockets`,
							remedy: 'Give the section more pockets.'
						}
					]
				: []
		);
		const wanted = [...target, ...(crowded.length > 0 ? [] : settleRuns(runs, now, target))];
		const problems = [
			...crowded,
			...repeated('now', 'item', now),
			...repeated('now', 'pocket', now),
			...repeated('target', 'item', wanted),
			...repeated('target', 'pocket', wanted)
		];
		return problems.length > 0 ? bad(problems) : good(planMoves(now, wanted));
	}
});
