import type { Quality } from './condition.ts';

/** A physical card, or a counted pile of equal ones. */
export interface Copy extends Quality {
	readonly key: string;
	/** Version key */
	readonly version: string;
	/** How many equal cards the pile holds, at least 1. */
	readonly quantity: number;
	/** "hand-cut", "perforated", "autograph" … */
	readonly attributes?: readonly string[];
	/** The slot in which it lies already: of equally good fillings the one that leaves it there is chosen. */
	readonly heldIn?: string;
}
