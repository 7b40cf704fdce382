import { pullList, putAway } from '../../core/storage/slips/put-away.ts';
import { bad, good } from '../../core/problem.ts';
import { PutAwayInput, PutAwayOutput, type PutAwayRequest } from '../../schemas/compute-sorting.ts';
import { repeated } from './repeated.ts';
import { defineComputation } from './define-computation.ts';

export const putAwayComputation = defineComputation({
	name: 'put-away',
	summary: 'The walk on which a stack is put away (or pulled): each place with its neighbours.',
	input: PutAwayInput,
	output: PutAwayOutput,
	run({ cards, places, pull }: PutAwayRequest) {
		const problems = repeated('cards', 'key', cards);
		if (problems.length > 0) return bad(problems);
		return good(pull ? pullList(cards, places) : putAway(cards, places));
	}
});
