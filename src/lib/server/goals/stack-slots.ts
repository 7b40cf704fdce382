import { conditionRank, qualityRank } from '../../core/copies/condition.ts';
import type { StackSlot } from '../../core/goal/judge-card.ts';
import type { Reader } from '../database/open.ts';
import { workOutGoals } from './work-out-goals.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** The slots of all goals that go over a release, with how good what is in them is. */
export async function stackSlots(db: Reader, releaseId: ReleaseId): Promise<readonly StackSlot[]> {
	const states = await workOutGoals(db, (_, ids) => ids.includes(releaseId));
	return states.flatMap(({ goal, slots, copies, filling }) => {
		const copyOf = new Map(copies.map((copy) => [copy.key, copy]));
		const held = new Map(
			filling.placements.map(({ slot, copy }) => [slot, qualityRank(copyOf.get(copy) ?? {})])
		);
		return slots.map(({ key, versions, leastCondition }): StackSlot => ({
			key,
			goal: goal.name,
			versions,
			leastRank: conditionRank(leastCondition),
			heldRank: held.get(key) ?? null
		}));
	});
}
