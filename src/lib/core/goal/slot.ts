import type { Condition } from '../copies/condition.ts';

/** A copy that was graded: from a grade on, by one of some houses. One graded as genuine has no number. */
export interface GradeNeed {
	/** 1 to 10 in halves; left out: any, "authentic" too. */
	readonly least?: number;
	/** Left out: any. */
	readonly houses?: readonly string[];
}

/** One thing to own: any one of its versions fills it. */
export interface Slot {
	readonly key: string;
	/** Version keys that may fill it, in order of preference. */
	readonly versions: readonly string[];
	/**
	 * Those of its versions that are intact panels: a copy of one fills this slot, and a slot of each of
	 * the panel's other cards as well.
	 */
	readonly panels?: readonly string[];
	readonly leastCondition?: Condition;
	/** Attributes that a copy must have: "perforated". */
	readonly needs?: readonly string[];
	/** Asks for a graded copy. */
	readonly graded?: GradeNeed;
	/** How many copies it takes, at least 1. */
	readonly quantity: number;
	/** 0 (or left out) is served with the best copies first, then 1 …: the sets of a goal. */
	readonly tier?: number;
}
