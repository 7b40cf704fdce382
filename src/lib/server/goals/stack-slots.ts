import type { StackSlot } from '../../core/goal/judge-card.ts';
import { stackSlotsOf } from '../../core/goal/stack-slots.ts';
import type { Reader } from '../database/open.ts';
import { workOutGoals } from './work-out-goals.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** The slots of all goals that go over some of these releases, with how good what is in them is. */
export async function stackSlots(
	db: Reader,
	releaseIds: readonly ReleaseId[]
): Promise<readonly StackSlot[]> {
	const asked = new Set(releaseIds);
	const states = await workOutGoals(db, (_, ids) => ids.some((id) => asked.has(id)));
	return states.flatMap(({ goal, slots, copies, filling }) =>
		stackSlotsOf(goal.name, slots, copies, filling)
	);
}
