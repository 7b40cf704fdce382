import type { GoalGroup } from './goal-groups.ts';
import { nearestToDone } from './nearest-to-done.ts';

/** What is best done next in a goal: the section that is nearest to done, with what it lacks. */
export interface NextBest {
	/** "Storm Watch, Brass" */
	readonly name: string;
	readonly left: number;
	readonly text: string;
}

/** Null where nothing is begun, or nothing is missing. */
export function nextBest(groups: readonly GoalGroup[]): NextBest | null {
	const nearest = nearestToDone(groups);
	return nearest && { name: nearest.name, left: nearest.need - nearest.have, text: nearest.text };
}
