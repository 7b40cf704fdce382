import type { Release } from '../../core/checklist/release.ts';
import { resolveRelease } from '../../core/checklist/resolve-release.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
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

/** The releases of several checklists; the problems of all of them at once. */
export function resolveChecklists(
	checklists: readonly ChecklistFile[]
): Outcome<readonly Release[]> {
	const read = checklists.map((checklist, i) => resolveChecklist(checklist, `/checklists/${i}`));
	const problems = read.flatMap((outcome) => (outcome.ok ? [] : outcome.problems));
	return problems.length > 0
		? bad(problems)
		: good(read.flatMap((outcome) => (outcome.ok ? [outcome.value] : [])));
}
