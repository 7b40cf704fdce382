import { countVersionsAtMost } from '../../core/checklist/versions/count-versions.ts';
import type { Release } from '../../core/checklist/release.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import { repeated } from './repeated.ts';
import { asDraft, type ChecklistFile } from '../../schemas/checklist.ts';

/** The most versions that one checklist may have here. */
const MOST_VERSIONS = 300_000;

/** The release of a checklist that a body holds under `at`; pointers go from the body's root. */
export function resolveChecklist(checklist: ChecklistFile, at = '/checklist'): Outcome<Release> {
	const outcome = resolveRelease(asDraft(checklist));
	if (outcome.ok) {
		const versions = countVersionsAtMost(outcome.value);
		if (versions <= MOST_VERSIONS) return outcome;
		return bad([
			{
				pointer: at,
				message: `the rules of this checklist make up to ${versions} versions; at most ${MOST_VERSIONS} are worked out`,
				remedy: 'Leave sections or parallels out.'
			}
		]);
	}
	const problems = outcome.problems.map((problem) => ({
		...problem,
		pointer: `${at}${problem.pointer ?? ''}`
	}));
	return { ...outcome, problems };
}

/** The releases of several checklists, none of them twice; the problems of all of them at once. */
export function resolveChecklists(
	checklists: readonly ChecklistFile[]
): Outcome<readonly Release[]> {
	const read = checklists.map((checklist, i) => resolveChecklist(checklist, `/checklists/${i}`));
	const releases = read.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
	const problems = [
		...read.flatMap((outcome) => (outcome.ok ? [] : outcome.problems)),
		...(releases.length === read.length ? repeated('checklists', 'key', releases) : [])
	];
	return problems.length > 0 ? bad(problems) : good(releases);
}
