import { checkGoal } from '../../core/goal/check-goal.ts';
import { jobSize } from '../../core/goal/job-size.ts';
import { groupName } from '../../core/goal/missing-list.ts';
import type { GoalChoice } from '../../core/goal/goal-rules.ts';
import { scopeGoals } from '../../core/goal/scope-goal.ts';
import { wholeSections } from '../../core/checklist/edition.ts';
import { bad, good } from '../../core/problem.ts';
import type { Reader } from '../database/open.ts';
import { findRelease } from '../releases/load-release.ts';
import { loadGoalReleases } from './goal-scope.ts';

/** How many slots a goal would have, in all and by section and finish; null where its release is not there; a problem where the rules cannot be asked for. */
export async function countSlots(db: Reader, releaseKey: string, rules: GoalChoice) {
	const releaseId = await findRelease(db, releaseKey);
	if (releaseId === null) return null;
	const { releases } = await loadGoalReleases(db, { releaseId, rules });
	const problems = checkGoal(releases, rules);
	if (problems.length > 0) return bad(problems);
	const { slots, skipped } = scopeGoals(releases, rules);
	const isNamed = new Set(slots.map(({ release }) => release)).size > 1;
	const rows = releases.flatMap((release) => {
		const counts = new Map<string, number>();
		for (const { version, release: home } of slots) {
			if (home !== release.key) continue;
			const place = `${version.sectionKey}~${version.parallelKey ?? ''}`;
			counts.set(place, (counts.get(place) ?? 0) + 1);
		}
		const sections = new Map(wholeSections(release).map((section) => [section.key, section]));
		return [...counts].map(([place, count]) => {
			const [sectionKey = '', parallel = ''] = place.split('~');
			const section = sections.get(sectionKey);
			const name = section ? groupName(release, section, parallel || null) : sectionKey;
			return { name: isNamed ? `${release.name}, ${name}` : name, count };
		});
	});
	const { slots: _, ...size } = jobSize(releases, slots);
	return good({ slots: slots.length, skipped, rows, size });
}
