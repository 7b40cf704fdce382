import { expand } from '../../core/checklist/versions/expand.ts';
import { good } from '../../core/problem.ts';
import { ExpandInput, ExpandOutput, type ExpandRequest } from '../../schemas/compute.ts';
import { resolveChecklist } from './resolve-checklist.ts';
import { defineComputation } from './define-computation.ts';

export const expandChecklist = defineComputation({
	name: 'expand-checklist',
	summary:
		'Derives every version of a release, with its stable key, from the rules of its checklist.',
	input: ExpandInput,
	output: ExpandOutput,
	run({ checklist }: ExpandRequest) {
		const release = resolveChecklist(checklist);
		return release.ok
			? good({ release: release.value.key, versions: expand(release.value) })
			: release;
	}
});
