import type { Release } from '../../core/checklist/release.ts';
import { resolveRelease } from '../../core/checklist/resolve-release.ts';
import type { Outcome } from '../../core/problem.ts';
import { asDraft, type ChecklistFile } from '../../schemas/checklist.ts';

/** The release of a checklist that a body holds under `at`; pointers go from the body's root. */
export function resolveChecklist(checklist: ChecklistFile, at = '/checklist'): Outcome<Release> {
	const outcome = resolveRelease(asDraft(checklist));
	if (outcome.ok) return outcome;
	const problems = outcome.problems.map((problem) => ({
		...problem,
		pointer: `${at}${problem.pointer ?? ''}`
	}));
	return { ...outcome, problems };
}
