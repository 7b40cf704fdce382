import { groupName } from '$lib/core/goal/missing-list';
import { nearestToDone } from '$lib/core/goal/nearest-to-done';
import { listBinders } from '$lib/server/binders/binders';
import { theCollection } from '$lib/server/collection';
import type { Reader } from '$lib/server/database/open';
import { listGoals, readGoal } from '$lib/server/goals/read-goals';
import { missingList } from '$lib/core/goal/missing-list';
import { recentSteps } from '$lib/server/journal/undo';
import { listReleases } from '$lib/server/releases/list-releases';

/** What is nearest to done in a goal, with the numbers that are still to find. */
async function nextOf(db: Reader, goalId: number) {
	const found = await readGoal(db, goalId);
	if (!found) return null;
	const { release, slots, filling } = found;
	const groups = missingList(release, slots, filling);
	const nearest = nearestToDone(
		groups.map(({ section, parallelKey, have, need }) => ({
			sectionKey: section.key,
			parallelKey,
			have,
			need
		}))
	);
	const group = groups.find(
		({ section, parallelKey }) =>
			section.key === nearest?.sectionKey && parallelKey === nearest.parallelKey
	);
	return group
		? {
				name: groupName(release, group.section, group.parallelKey),
				left: group.need - group.have,
				text: group.text
			}
		: null;
}

export const load = async () => {
	const { db } = await theCollection();
	const goals = await listGoals(db);
	return {
		goals: await Promise.all(
			goals.map(async (goal) => ({ ...goal, next: await nextOf(db, goal.id) }))
		),
		releases: await listReleases(db),
		binders: await listBinders(db),
		steps: await recentSteps(db, 6)
	};
};
