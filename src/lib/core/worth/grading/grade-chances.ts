import { rollup, sum } from 'd3-array';
import { GRADES } from '../../copies/condition.ts';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';
import type { GradeChance } from './grade-or-not.ts';

/**
 * The chance of each grade by what a house gave to others of the card: its part of all that were graded. It takes the card for
 * one like those that were sent in; what was sent in is the better part of what there is.
 *
 * @example chancesByCounts([{ grade: 9, count: 1 }, { grade: 8, count: 3 }]).map(({ chance }) => chance) // [0.25, 0.75]
 */
export function chancesByCounts(
	counts: readonly (LabelledQuality & { readonly count: number })[]
): readonly GradeChance[] {
	const all = sum(counts, ({ count }) => count);
	if (all === 0) return [];
	return counts.flatMap(({ count, ...quality }) =>
		count === 0 ? [] : [{ ...quality, chance: count / all }]
	);
}

/**
 * The chance of each grade by the collector's own estimate, and by how far houses were off it before: each such
 * difference is as likely to come again. Beyond the ends of the scale the end is taken. Nothing sent in before: the
 * estimate is taken as it is.
 *
 * @param differences grade that came back less the own estimate, of earlier cards
 * @example chancesByEye(8, [0, 0, -1, 0.5]).map(({ grade, chance }) => [grade, chance]) // [[8.5, 0.25], [8, 0.5], [7, 0.25]]
 */
export function chancesByEye(
	grade: number,
	differences: readonly number[]
): readonly GradeChance[] {
	if (differences.length === 0) return [{ grade, chance: 1 }];
	const nearest = (wanted: number) =>
		GRADES.reduce((best, each) =>
			Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best
		);
	const counts = rollup(
		differences.map((difference) => ({ grade: nearest(grade + difference) })),
		(same) => same.length,
		(each) => formatQuality(each)
	);
	return [...counts]
		.map(([label, count]) => ({ grade: Number(label), chance: count / differences.length }))
		.sort((a, b) => b.grade - a.grade);
}
