import { scopeGoals } from '../../core/goal/scope-goal.ts';
import { bad, good } from '../../core/problem.ts';
import { ScopeInput, ScopeOutput, type ScopeRequest } from '../../schemas/compute-goal.ts';
import { resolveChecklist } from './resolve-checklist.ts';

export const scopeGoalComputation = {
	name: 'scope-goal',
	summary: 'The slots that a goal has over some checklists, by its rules, and what they leave out.',
	input: ScopeInput,
	output: ScopeOutput,
	run({ checklists, goal }: ScopeRequest) {
		const read = checklists.map((checklist, i) => resolveChecklist(checklist, `/checklists/${i}`));
		const problems = read.flatMap((outcome) => (outcome.ok ? [] : outcome.problems));
		if (problems.length > 0) return bad(problems);
		const releases = read.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
		return good(scopeGoals(releases, goal));
	}
} as const;
