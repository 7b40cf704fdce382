/** Condition words of raw cards, best first. Common practice, no source. */
export const CONDITIONS = ['mint', 'near mint', 'excellent', 'very good', 'good', 'poor'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** How good a condition is: 6 for mint down to 1 for poor; 0 where nobody looked. */
export function conditionRank(condition: Condition | undefined): number {
	return condition === undefined ? 0 : CONDITIONS.length - CONDITIONS.indexOf(condition);
}
