/** Condition words of raw cards, best first. Common practice, no source. */
export const CONDITIONS = ['mint', 'near mint', 'excellent', 'very good', 'good', 'poor'] as const;
export type Condition = (typeof CONDITIONS)[number];

/**
 * Where the words stand on the scale of grades, 1 to 10: so that raw and graded copies can be
 * compared. Common practice, no source.
 */
const WORD_GRADE: Readonly<Record<Condition, number>> = {
	mint: 9,
	'near mint': 7,
	excellent: 5,
	'very good': 3,
	good: 2,
	poor: 1
};

/** Grades that houses give, best first: 10 down to 1 in halves. */
export const GRADES: readonly number[] = Array.from({ length: 19 }, (_, i) => 10 - i / 2);

/** What of a copy tells how good it is: a grade counts before a word; `authentic` has no number. */
export interface Quality {
	readonly condition?: Condition;
	/** 1 to 10 in halves */
	readonly grade?: number;
	/** Graded as genuine, without a number. */
	readonly isAuthentic?: boolean;
}

/**
 * How good a copy is, in half grades: 20 for a 10 down to 2 for poor; 1 for authentic; 0 where nobody looked.
 *
 * @example [qualityRank({ grade: 9.5 }), qualityRank({ condition: 'mint' }), qualityRank({ isAuthentic: true }), qualityRank({})] // [19, 18, 1, 0]
 */
export function qualityRank({ condition, grade, isAuthentic }: Quality): number {
	if (grade !== undefined) return 2 * grade;
	if (isAuthentic) return 1;
	return condition === undefined ? 0 : 2 * WORD_GRADE[condition];
}

/** The same of a word alone; 0 where none is asked for. */
export function conditionRank(condition: Condition | undefined): number {
	return qualityRank({ condition });
}
