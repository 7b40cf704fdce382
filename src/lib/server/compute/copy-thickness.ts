import { thicknessFinder } from '../../core/storage/room/copy-thickness.ts';
import { bad, good } from '../../core/problem.ts';
import {
	CopyThicknessInput,
	CopyThicknessOutput,
	type CopyThicknessRequest
} from '../../schemas/compute-copy-thickness.ts';
import { defineComputation } from './define-computation.ts';
import { resolveChecklist } from './resolve-checklist.ts';

export const copyThicknessComputation = defineComputation({
	name: 'copy-thickness',
	summary:
		'How thick copies are, by themselves and as they are kept, and where that is known from.',
	input: CopyThicknessInput,
	output: CopyThicknessOutput,
	run({ checklist, copies }: CopyThicknessRequest) {
		const release = resolveChecklist(checklist);
		if (!release.ok) return release;
		const thicknessOf = thicknessFinder(release.value);
		const found = copies.map(thicknessOf);
		const problems = found.flatMap((thickness, i) =>
			thickness
				? []
				: {
						pointer: `/copies/${i}/version`,
						field: 'version',
						message: `the release has no version "${copies[i]?.version ?? ''}"`,
						remedy: 'Name versions as expand-checklist does.'
					}
		);
		if (problems.length > 0) return bad(problems);
		const thicknesses = found.flatMap((thickness) => thickness ?? []);
		return good({
			copies: thicknesses,
			rowMm: thicknesses.reduce((sum, { rowMm }) => sum + rowMm, 0)
		});
	}
});
