import { readOutline } from '../../core/checklist/outline/read-outline.ts';
import { good } from '../../core/problem.ts';
import { checklistDocument } from '../../formats/checklist-json.ts';
import {
	OutlineInput,
	OutlineOutput,
	type OutlineRequest
} from '../../schemas/compute-checklist.ts';
import { defineComputation } from './define-computation.ts';
import { resolveChecklist } from './resolve-checklist.ts';

export const readOutlineComputation = defineComputation({
	name: 'read-outline',
	summary:
		'Reads the sketch of a release: the checklist it makes, its figures, and what is not understood.',
	input: OutlineInput,
	output: OutlineOutput,
	run({ outline, checklist }: OutlineRequest) {
		const onto = checklist ? resolveChecklist(checklist, '/checklist') : null;
		if (onto && !onto.ok) return onto;
		const { release, ...reading } = readOutline(outline, onto?.value);
		return good({ ...reading, checklist: checklistDocument(release) });
	}
});
