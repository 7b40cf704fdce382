import { formatQuality } from '../../core/copies/quality-label.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import { populations, wrongSums } from '../../core/worth/population/population.ts';
import { scarcityRatio } from '../../core/worth/population/scarcity-ratio.ts';
import {
	PopulationInput,
	PopulationOutput,
	ScarcityRatioInput,
	ScarcityRatioOutput,
	type PopulationRequest,
	type ScarcityRatioRequest
} from '../../schemas/compute-worth.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

export const populationComputation = defineComputation({
	name: 'population',
	summary:
		'Copies that houses graded: totals, above a grade, share at a grade or better, finest known; reports that do not add up.',
	input: PopulationInput,
	output: PopulationOutput,
	run({ reports, least = 8, houses }: PopulationRequest) {
		const scales = new Map((houses ?? []).map((house) => [house.name, house]));
		const problems = reports.flatMap(({ house, counts }, i): readonly Problem[] => {
			const scale = scales.get(house);
			if (houses && !scale) {
				const message = `there is no house "${house}"`;
				return [{ pointer: `/reports/${i}/house`, message, remedy: 'Name it among the houses.' }];
			}
			const seen = new Set<string>();
			return counts.flatMap((count, j): readonly Problem[] => {
				const pointer = `/reports/${i}/counts/${j}`;
				const label = formatQuality(count);
				const isTwice = seen.has(label);
				seen.add(label);
				if (count.grade === undefined && !count.isAuthentic) {
					const message = 'a population is of grades';
					return [{ pointer, message, remedy: 'Give a grade, or isAuthentic.' }];
				}
				if (isTwice) return [{ pointer, message: `"${label}" stands twice`, remedy: 'Add them.' }];
				const gives =
					!scale ||
					(count.grade === undefined
						? (scale.givesAuthentic ?? true)
						: scale.grades.includes(count.grade));
				if (gives) return [];
				const message = `${house} does not give "${label}"`;
				return [{ pointer, message, remedy: 'Give a grade that it has.' }];
			});
		});
		if (problems.length > 0) return bad(problems);
		return good({
			versions: populations(reports, least).map((population) => ({
				...population,
				levels: population.levels.map(({ label, count, above, byHouse }) => ({
					...{ label, count, above, byHouse }
				}))
			})),
			wrongSums: wrongSums(reports)
		});
	}
});

export const scarcityRatioComputation = defineComputation({
	name: 'scarcity-ratio',
	summary: 'How many times scarcer cards are than another by their counts, with an exact interval.',
	input: ScarcityRatioInput,
	output: ScarcityRatioOutput,
	run({ against, counts, confidence = 0.95 }: ScarcityRatioRequest) {
		const problems = repeated('counts', 'key', counts);
		if (problems.length > 0) return bad(problems);
		return good({
			ratios: counts.map(({ key, count }) => ({
				key,
				...scarcityRatio(count, against, confidence)
			}))
		});
	}
});
