import { formatQuality, type LabelledQuality } from '../../core/copies/quality-label.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { eyeRecord } from '../../core/worth/grading/eye-record.ts';
import { chancesByCounts, chancesByEye } from '../../core/worth/grading/grade-chances.ts';
import { gradeOrNot, type GradeChance } from '../../core/worth/grading/grade-or-not.ts';
import {
	GradingEyeInput,
	GradingEyeOutput,
	type GradingEyeRequest
} from '../../schemas/compute-grading.ts';
import {
	GradeOrNotInput,
	GradeOrNotOutput,
	type GradeOrNotRequest
} from '../../schemas/compute-worth.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

export const gradeOrNotComputation = defineComputation({
	name: 'grade-or-not',
	summary: 'Whether sending a card for grading pays, and from which chance on.',
	input: GradeOrNotInput,
	output: GradeOrNotOutput,
	run(request: GradeOrNotRequest) {
		const { rawMinor, feeMinor, postageMinor = 0, sellingShare = 0, hopedGrade } = request;
		const chances = chancesOf(request);
		const problems = [
			...(chances.ok ? [] : chances.problems),
			...repeated(
				'prices',
				'label',
				request.prices.map((price) => ({ label: formatQuality(price) }))
			),
			...request.prices.flatMap(({ lowMinor, middleMinor, highMinor }, i): readonly Problem[] =>
				(lowMinor ?? middleMinor) <= middleMinor && middleMinor <= (highMinor ?? middleMinor)
					? []
					: [
							{
								pointer: `/prices/${i}/middleMinor`,
								message: 'it is not between the lowest and the highest',
								remedy: 'Put them in order.'
							}
						]
			)
		];
		if (!chances.ok || problems.length > 0) return bad(problems);
		return good(
			gradeOrNot({
				...{ rawMinor, feeMinor, postageMinor, sellingShare, chances: chances.value },
				prices: request.prices.map(({ middleMinor, lowMinor, highMinor, ...quality }) => ({
					...quality,
					...{ middleMinor, lowMinor: lowMinor ?? middleMinor, highMinor: highMinor ?? middleMinor }
				})),
				...(hopedGrade === undefined ? {} : { hopedGrade })
			})
		);
	}
});

/** Chances as they are given, by a population, or by the own eye: by one of the three. */
function chancesOf({ chances, counts, eye }: GradeOrNotRequest): Outcome<readonly GradeChance[]> {
	const ways = [chances, counts, eye].filter((way) => way !== undefined);
	if (ways.length !== 1) {
		const message =
			ways.length === 0 ? 'nothing says how likely the grades are' : 'the chances are said twice';
		return bad([{ pointer: '/chances', message, remedy: 'Give chances, counts or eye.' }]);
	}
	if (eye) return good(chancesByEye(eye.grade, eye.differences ?? []));
	const said: readonly LabelledQuality[] = chances ?? counts ?? [];
	const name = chances ? 'chances' : 'counts';
	const problems: readonly Problem[] = [
		...repeated(
			name,
			'label',
			said.map((quality) => ({ label: formatQuality(quality) }))
		),
		...said.flatMap(({ grade, isAuthentic }, i): readonly Problem[] =>
			grade === undefined && !isAuthentic
				? [
						{
							pointer: `/${name}/${i}`,
							message: 'it comes back with a grade or as authentic',
							remedy: 'Leave out what comes back without.'
						}
					]
				: []
		)
	];
	if (problems.length > 0) return bad(problems);
	if (counts) {
		const found = chancesByCounts(counts);
		if (found.length > 0) return good(found);
		const message = 'nothing was counted';
		return bad([{ pointer: '/counts', message, remedy: 'Give chances instead.' }]);
	}
	const all = (chances ?? []).reduce((sum, { chance }) => sum + chance, 0);
	if (all <= 1 + 1e-9) return good(chances ?? []);
	const message = `the chances come to ${Math.round(all * 1000) / 1000}`;
	return bad([{ pointer: '/chances', message, remedy: 'Together they are at most 1.' }]);
}

export const gradingEyeComputation = defineComputation({
	name: 'grading-eye',
	summary: 'How a collector’s own estimates stood against the grades that came back.',
	input: GradingEyeInput,
	output: GradingEyeOutput,
	run: ({ checks }: GradingEyeRequest) => good(eyeRecord(checks))
});
