import { compareReleases } from '../../core/checklist/compare-releases.ts';
import { good } from '../../core/problem.ts';
import {
	CompareInput,
	CompareOutput,
	type CompareRequest
} from '../../schemas/compute-checklist.ts';
import { resolveChecklist } from './resolve-checklist.ts';
import { defineComputation } from './define-computation.ts';

export const compareReleasesComputation = defineComputation({
	name: 'compare-releases',
	summary: 'Lays two releases one above the other, section by section and card by card.',
	input: CompareInput,
	output: CompareOutput,
	run({ left, right }: CompareRequest) {
		const first = resolveChecklist(left, '/left');
		if (!first.ok) return first;
		const other = resolveChecklist(right, '/right');
		if (!other.ok) return other;
		return good({
			sections: compareReleases(first.value, other.value).map((pair) => ({
				left: pair.left?.key ?? null,
				right: pair.right?.key ?? null,
				pairs: pair.pairs.map(({ left: a, right: b, by }) => ({
					left: a?.key ?? null,
					right: b?.key ?? null,
					by
				}))
			}))
		});
	}
});
