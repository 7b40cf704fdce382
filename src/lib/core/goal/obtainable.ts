import type { Filling } from './fill-slots.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** Fewer copies than this were made: a person may wait for years. A rule of thumb of ours, no source. */
export const HARD_RUN = 25;

/** How far a goal is, the hardest cards left aside. */
export interface Obtainable {
	readonly have: number;
	readonly need: number;
	/** Missing slots of which fewer than `HARD_RUN` copies were made. */
	readonly hard: number;
}

export function obtainableOf(slots: readonly ScopedSlot[], filling: Filling): Obtainable {
	const lacking = new Set(filling.missing.map(({ slot }) => slot));
	const hard = slots.filter(
		({ key, version }) =>
			lacking.has(key) && (version.printRun ?? version.estimatedRun ?? Infinity) < HARD_RUN
	).length;
	return { have: slots.length - lacking.size, need: slots.length - hard, hard };
}
