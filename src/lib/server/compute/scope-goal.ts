import { scopeGoals } from '../../core/goal/scope-goal.ts';
import { good } from '../../core/problem.ts';
import { ScopeInput, ScopeOutput, type ScopeRequest } from '../../schemas/compute-goal.ts';
import { resolveChecklists } from './resolve-checklist.ts';

export const scopeGoalComputation = {
	name: 'scope-goal',
	summary: 'The slots that a goal has over some checklists, by its rules, and what they leave out.',
	input: ScopeInput,
	output: ScopeOutput,
	run({ checklists, goal }: ScopeRequest) {
		const releases = resolveChecklists(checklists);
		if (!releases.ok) return releases;
		return good(scopeGoals(releases.value, goal));
	}
} as const;
