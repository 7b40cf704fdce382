import { conditionRank, qualityRank } from '../copies/condition.ts';
import type { Copy } from '../copies/copy.ts';
import type { Filling } from './fill-slots.ts';
import type { StackSlot } from './judge-card.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** The slots of a goal by name, with how good what lies in them is. */
export function stackSlotsOf(
	goal: string,
	slots: readonly ScopedSlot[],
	copies: readonly Copy[],
	{ placements }: Filling
): readonly StackSlot[] {
	const copyOf = new Map(copies.map((copy) => [copy.key, copy]));
	const held = new Map(
		placements.map(({ slot, copy }) => [slot, qualityRank(copyOf.get(copy) ?? {})])
	);
	return slots.map(({ key, set, versions, leastCondition }): StackSlot => ({
		key,
		set,
		goal,
		versions,
		leastRank: conditionRank(leastCondition),
		heldRank: held.get(key) ?? null
	}));
}
