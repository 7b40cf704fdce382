import type { Release } from '../checklist/release.ts';
import type { Filling } from './fill-slots.ts';
import { missingList, type MissingGroup } from './missing-list.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** What one section lacks in one finish, with the release it is of. */
export interface GoalGroup extends MissingGroup {
	readonly releaseKey: string;
}

/**
 * The missing lists of a goal's releases, one behind the other. In the first release, the goal's home,
 * a section goes by its own name; in the others the release is said before it.
 */
export function goalGroups(
	releases: readonly Release[],
	slots: readonly ScopedSlot[],
	filling: Filling
): readonly GoalGroup[] {
	return releases.flatMap((release, i) =>
		missingList(release, slots, filling).map((group) => ({
			...group,
			releaseKey: release.key,
			name: i === 0 ? group.name : `${release.name}, ${group.name}`
		}))
	);
}
