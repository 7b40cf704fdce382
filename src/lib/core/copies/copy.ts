import type { Quality } from './condition.ts';

/** A physical card, or a counted pile of equal ones. */
export interface Copy extends Quality {
	readonly key: string;
	/** Version key */
	readonly version: string;
	/** Versions of the same card that it is as well: a red line and a wrong back on one copy. It fills one slot. */
	readonly alsoVersions?: readonly string[];
	/** How many equal cards the pile holds, at least 1. */
	readonly quantity: number;
	/** "hand-cut", "perforated", "autograph" … */
	readonly attributes?: readonly string[];
	/** The house that graded it. */
	readonly house?: string;
	/** The slot in which it lies already: of equally good fillings the one that leaves it there is chosen. */
	readonly heldIn?: string;
}

/** All versions that a copy is, the one it is logged as first. */
export function versionsOfCopy({
	version,
	alsoVersions = []
}: Pick<Copy, 'version' | 'alsoVersions'>): readonly string[] {
	return alsoVersions.length === 0 ? [version] : [...new Set([version, ...alsoVersions])];
}
