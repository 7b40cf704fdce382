import { compareReleases } from '../../core/checklist/compare/compare-releases.ts';
import { compareSheet } from '../../core/checklist/compare/compare-sheet.ts';
import { bad, good } from '../../core/problem.ts';
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
	run({ left, right, more = [], counterparts = [] }: CompareRequest) {
		const pairs = counterparts.map(({ first: a, other: b }) => [a, b] as const);
		const first = resolveChecklist(left, '/left');
		if (!first.ok) return first;
		const other = resolveChecklist(right, '/right');
		if (!other.ok) return other;
		const further = more.map((body, i) => resolveChecklist(body, `/more/${i}`));
		const problems = further.flatMap((outcome) => (outcome.ok ? [] : outcome.problems));
		if (problems.length > 0) return bad(problems);
		const sides = [
			{ release: first.value },
			{ release: other.value },
			...further.flatMap((outcome) => (outcome.ok ? [{ release: outcome.value }] : []))
		];
		return good({
			sheet: compareSheet(sides, pairs).map(({ members, ...part }) => ({
				...part,
				members: members.map((member) => member?.key ?? null)
			})),
			sections: compareReleases(first.value, other.value, pairs).map((pair) => ({
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
