import { countVersionsAtMost } from '../../core/checklist/versions/count-versions.ts';
import { checkGoal } from '../../core/goal/check-goal.ts';
import { jobSize } from '../../core/goal/job-size.ts';
import { scopeGoals } from '../../core/goal/scope-goal.ts';
import { bad, good } from '../../core/problem.ts';
import { ScopeInput, ScopeOutput, type ScopeRequest } from '../../schemas/compute-goal.ts';
import { resolveChecklists } from './resolve-checklist.ts';
import { defineComputation } from './define-computation.ts';

/** The most slots that are given at once. */
const MOST_SLOTS = 1_000_000;

export const scopeGoalComputation = defineComputation({
	name: 'scope-goal',
	summary: 'The slots that a goal has over some checklists, by its rules, and what they leave out.',
	input: ScopeInput,
	output: ScopeOutput,
	run({ checklists, goal }: ScopeRequest) {
		const releases = resolveChecklists(checklists);
		if (!releases.ok) return releases;
		const problems = checkGoal(releases.value, goal).map((problem) => ({
			...problem,
			pointer: `/goal${problem.pointer ?? ''}`
		}));
		if (problems.length > 0) return bad(problems);
		const sets = goal.sets ?? 1;
		const versions = releases.value.reduce((sum, each) => sum + countVersionsAtMost(each), 0);
		if (versions * sets > MOST_SLOTS) {
			return bad([
				{
					pointer: '/goal/sets',
					message: `${sets} sets of up to ${versions} versions are more than ${MOST_SLOTS} slots`,
					remedy: 'Ask for fewer sets, or fewer checklists at a time.'
				}
			]);
		}
		const scope = scopeGoals(releases.value, goal);
		return good({ ...scope, size: jobSize(releases.value, scope.slots) });
	}
});
