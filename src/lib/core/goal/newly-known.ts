/** A day of a goal's history (ISO 8601), with how far it was at the end of it. */
export interface GoalDay {
	readonly day: string;
	readonly have: number;
	readonly need: number;
}

/** Slots that a goal has now and had not before, though its rules are the same: their cards became known. */
export interface NewlyKnown {
	readonly slots: number;
	/** The last day on which none of them was known. */
	readonly since: string;
}

/**
 * What became known since the rules of a goal were decided: more of it is asked for, and nothing was
 * lost. Null where nothing did. Days before `decidedOn` had other rules and are not looked at.
 *
 * @example newlyKnown([{ day: '1996-10-01', have: 5, need: 5 }], 6, '1996-09-30') // { slots: 1, since: '1996-10-01' }
 */
export function newlyKnown(
	history: readonly GoalDay[],
	need: number,
	decidedOn: string
): NewlyKnown | null {
	const days = history.filter(({ day }) => day >= decidedOn);
	const least = Math.min(...days.map((entry) => entry.need));
	const last = days.filter((entry) => entry.need === least).at(-1);
	return last && least < need ? { slots: need - least, since: last.day } : null;
}
