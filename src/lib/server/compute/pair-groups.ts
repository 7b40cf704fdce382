import { pairGroups } from '../../core/binder/pair-groups.ts';
import { bad, good } from '../../core/problem.ts';
import {
	PairGroupsInput,
	PairGroupsOutput,
	type PairGroupsRequest
} from '../../schemas/compute-binder.ts';

export const pairGroupsComputation = {
	name: 'pair-groups',
	summary: 'Lays groups on pages so that none is split and the fewest pages are used.',
	input: PairGroupsInput,
	output: PairGroupsOutput,
	run({ groups, capacity }: PairGroupsRequest) {
		const seen = new Set<string>();
		const twice = groups.findIndex(({ key }) => seen.has(key) || !seen.add(key));
		return twice < 0
			? good(pairGroups(groups, capacity))
			: bad([
					{
						pointer: `/groups/${twice}/key`,
						field: 'key',
						message: `the key "${groups[twice]?.key ?? ''}" stands twice`
					}
				]);
	}
} as const;
