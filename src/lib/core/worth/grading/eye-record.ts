import { mean, sum } from 'd3-array';

/** What a collector thought of a card, and what a house said. */
export interface EyeCheck {
	readonly estimate: number;
	/** null: it came back without a number. */
	readonly grade: number | null;
}

/** How well a collector's eye agrees with a house. */
export interface EyeRecord {
	/** So many cards were estimated and came back. */
	readonly checked: number;
	/** Of them with a number. */
	readonly graded: number;
	/** Grade less estimate, of those with a number: what `chancesByEye` takes. */
	readonly differences: readonly number[];
	/** Mean of the differences: below 0, the eye is too kind. null: none came back with a number. */
	readonly meanDifference: number | null;
	readonly exact: number;
	/** Within half a grade, exact ones among them. */
	readonly withinHalf: number;
}

/**
 * How a collector's own estimates stood against what came back.
 *
 * @example eyeRecord([{ estimate: 8, grade: 7.5 }, { estimate: 9, grade: 9 }]).meanDifference // -0.25
 */
export function eyeRecord(checks: readonly EyeCheck[]): EyeRecord {
	const differences = checks.flatMap(({ estimate, grade }) =>
		grade === null ? [] : [grade - estimate]
	);
	const within = (most: number) => sum(differences, (each) => (Math.abs(each) <= most ? 1 : 0));
	return {
		checked: checks.length,
		graded: differences.length,
		differences,
		meanDifference: mean(differences) ?? null,
		exact: within(0),
		withinHalf: within(0.5)
	};
}
