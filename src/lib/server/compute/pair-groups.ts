import { pairGroups } from '../../core/binder/pair-groups.ts';
import { bad, good } from '../../core/problem.ts';
import {
	PairGroupsInput,
	PairGroupsOutput,
	type PairGroupsRequest
} from '../../schemas/compute-pair-groups.ts';
import { repeated } from './repeated.ts';
import { defineComputation } from './define-computation.ts';

export const pairGroupsComputation = defineComputation({
	name: 'pair-groups',
	summary: 'Lays groups on pages so that none is split and the fewest pages are used.',
	input: PairGroupsInput,
	output: PairGroupsOutput,
	run({ groups, capacity }: PairGroupsRequest) {
		const problems = repeated('groups', 'key', groups);
		return problems.length > 0 ? bad(problems) : good(pairGroups(groups, capacity));
	}
});
