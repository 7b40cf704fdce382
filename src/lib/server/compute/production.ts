import { expand } from '../../core/checklist/versions/expand.ts';
import { productionOf, runsOf } from '../../core/checklist/versions/production.ts';
import { scopeGoal } from '../../core/goal/scope-goal.ts';
import { good } from '../../core/problem.ts';
import {
	ProductionInput,
	ProductionOutput,
	type ProductionRequest
} from '../../schemas/compute-checklist.ts';
import { resolveChecklist } from './resolve-checklist.ts';
import { defineComputation } from './define-computation.ts';

export const production = defineComputation({
	name: 'production',
	summary:
		'Cards, versions, copies in existence and the most complete runs, by section and finish, and for a goal.',
	input: ProductionInput,
	output: ProductionOutput,
	run({ checklist, goal }: ProductionRequest) {
		const release = resolveChecklist(checklist);
		if (!release.ok) return release;
		const versions = goal
			? scopeGoal(release.value, goal).map(({ version }) => version)
			: expand(release.value);
		return good({
			rows: productionOf(release.value),
			whole: { versions: versions.length, ...runsOf(versions) }
		});
	}
});
