import { groupName, type MissingGroup } from './missing-list.ts';
import { nearestToDone } from './nearest-to-done.ts';
import type { Release } from '../checklist/release.ts';

/** What is best done next in a goal: the section that is nearest to done, with what it lacks. */
export interface NextBest {
	/** "Storm Watch, Brass", with its release where that is not the goal's first one */
	readonly name: string;
	readonly left: number;
	readonly text: string;
}

/** Null where nothing is begun, or nothing is missing. */
export function nextBest(
	parts: readonly { readonly release: Release; readonly groups: readonly MissingGroup[] }[]
): NextBest | null {
	const rows = parts.flatMap(({ release, groups }) =>
		groups.map((group) => ({
			...group,
			release,
			releaseKey: release.key,
			sectionKey: group.section.key
		}))
	);
	const nearest = nearestToDone(rows);
	const group = rows.find((row) => row === nearest);
	return group
		? {
				name: `${group.release === parts[0]?.release ? '' : `${group.release.name}, `}${groupName(group.release, group.section, group.parallelKey)}`,
				left: group.need - group.have,
				text: group.text
			}
		: null;
}
