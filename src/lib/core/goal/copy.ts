import type { Condition } from './condition.ts';

/** A physical card, or a counted pile of equal ones. */
export interface Copy {
	readonly key: string;
	/** Version key */
	readonly version: string;
	/** How many equal cards the pile holds, at least 1. */
	readonly quantity: number;
	readonly condition?: Condition;
}
