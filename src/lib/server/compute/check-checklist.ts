import { examine } from '../../core/checklist/doctor/examine.ts';
import { completeDraft } from '../../core/checklist/draft/resolve-release.ts';
import { bad, good } from '../../core/problem.ts';
import { asDraft } from '../../schemas/checklist.ts';
import { CheckInput, CheckOutput, type CheckRequest } from '../../schemas/compute-checklist.ts';
import { defineComputation } from './define-computation.ts';

export const checkChecklist = defineComputation({
	name: 'check-checklist',
	summary: 'Reads a release and names what cannot be right, with a mend where one is safe.',
	input: CheckInput,
	output: CheckOutput,
	run({ checklist }: CheckRequest) {
		const { release, problems } = completeDraft(asDraft(checklist));
		if (problems.length > 0) {
			return bad(
				problems.map((problem) => ({ ...problem, pointer: `/checklist${problem.pointer ?? ''}` }))
			);
		}
		return good({ findings: examine(release) });
	}
});
