import { fillSlots, type Filling } from '../../core/goal/fill-slots.ts';
import { scopeGoal, type GoalRules, type ScopedSlot } from '../../core/goal/scope-goal.ts';
import type { Release } from '../../core/checklist/release.ts';
import type { Copy } from '../../core/goal/copy.ts';

/** A goal worked out: its slots and how the copies fill them. */
export interface GoalState {
	readonly slots: readonly ScopedSlot[];
	readonly filling: Filling;
}

export function goalState(release: Release, rules: GoalRules, copies: readonly Copy[]): GoalState {
	const slots = scopeGoal(release, rules);
	return { slots, filling: fillSlots(slots, copies) };
}
