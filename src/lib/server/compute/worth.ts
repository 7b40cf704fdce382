import {
	formatQuality,
	parseQuality,
	type LabelledQuality
} from '../../core/copies/quality-label.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { chancesByCounts, chancesByEye } from '../../core/worth/grading/grade-chances.ts';
import { gradeOrNot, type GradeChance } from '../../core/worth/grading/grade-or-not.ts';
import { gradeLadder, USUAL_RANK } from '../../core/worth/ladder/grade-ladder.ts';
import { USUAL_JUMP } from '../../core/worth/ladder/ladder-steps.ts';
import { populations, wrongSums } from '../../core/worth/population/population.ts';
import { scarcityRatio } from '../../core/worth/population/scarcity-ratio.ts';
import { estimatePrice, USUAL_ESTIMATE_RULES } from '../../core/worth/prices/estimate-price.ts';
import { indexPoints } from '../../core/worth/prices/like-points.ts';
import { priceCurves } from '../../core/worth/prices/price-curve.ts';
import { printingRatio } from '../../core/worth/prices/printing-ratio.ts';
import { tenFoldSlips } from '../../core/worth/prices/ten-fold.ts';
import { panelWorth } from '../../core/worth/value/panel-worth.ts';
import { setWorth, USUAL_WORTH_RULES, worthOverTime } from '../../core/worth/value/set-worth.ts';
import {
	EstimatePriceInput,
	EstimatePriceOutput,
	GradeLadderInput,
	GradeLadderOutput,
	GradeOrNotInput,
	GradeOrNotOutput,
	PopulationInput,
	PopulationOutput,
	ScarcityRatioInput,
	ScarcityRatioOutput,
	SetWorthInput,
	SetWorthOutput,
	type EstimatePriceRequest,
	type GradeLadderRequest,
	type GradeOrNotRequest,
	type PopulationRequest,
	type ScarcityRatioRequest,
	type SetWorthRequest
} from '../../schemas/compute-worth.ts';
import { convertPoints } from './convert-points.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

/** The most cells of a ladder. */
const MOST_CELLS = 60_000;

export const estimatePriceComputation = defineComputation({
	name: 'estimate-price',
	summary:
		'What copies are worth by sales of copies like them, with interval and age; inversions, slips, the monotone price, ratios between printings.',
	input: EstimatePriceInput,
	output: EstimatePriceOutput,
	run(request: EstimatePriceRequest) {
		const { copies, ratios = [], currency, on, rates = [] } = request;
		const { points, problems } = convertPoints(request.points, currency, rates);
		const all = [...problems, ...repeated('copies', 'key', copies)];
		if (all.length > 0) return bad(all);
		const rules = { ...USUAL_ESTIMATE_RULES, ...request.rules };
		const index = indexPoints(points);
		const placeOf = new Map(points.map((point, i) => [point, i]));
		return good({
			estimates: copies.map(({ key, ...need }) => {
				const { lastSale: _, ...estimate } = estimatePrice(index, need, on, rules);
				return { key, ...estimate };
			}),
			curves: priceCurves(points, on, rules).map((curve) => ({
				...curve,
				points: curve.points.map(
					({ typicalMinor, monotoneMinor, isMoved, sales, on: day, ...quality }) => ({
						label: formatQuality(quality),
						...{ typicalMinor, monotoneMinor, isMoved, sales, on: day }
					})
				),
				inversions: curve.inversions.map(({ better, worse }) => ({
					...{ better: formatQuality(better), betterMinor: better.typicalMinor },
					...{ worse: formatQuality(worse), worseMinor: worse.typicalMinor }
				}))
			})),
			slips: tenFoldSlips(points).map(({ point, ...slip }) => ({
				point: placeOf.get(point) ?? 0,
				...slip
			})),
			ratios: ratios.map(({ version, against }) =>
				printingRatio(points, version, against, on, rules)
			)
		});
	}
});

export const gradeLadderComputation = defineComputation({
	name: 'grade-ladder',
	summary:
		'Cards by grades: price, copies graded, last sale, three kinds of empty cells; ranked at a grade, with the near misses.',
	input: GradeLadderInput,
	output: GradeLadderOutput,
	run(request: GradeLadderRequest) {
		const { cards, currency, on, rates = [], house = null, jump = USUAL_JUMP } = request;
		const { points, problems } = convertPoints(request.points, currency, rates);
		const columns = request.columns.map((label) => parseQuality(label));
		const read = columns.flatMap((column) => (column.ok ? [column.value] : []));
		const labels = read.map(formatQuality);
		const { column = request.columns[0] ?? '', ...rank } = request.rank ?? {};
		const ranked = parseQuality(column);
		const isKnown = ranked.ok && labels.includes(formatQuality(ranked.value));
		const all: readonly Problem[] = [
			...problems,
			...repeated('cards', 'version', cards),
			...(cards.length * columns.length > MOST_CELLS
				? [
						{
							pointer: '/cards',
							message: `${cards.length} cards by ${columns.length} columns are more than ${MOST_CELLS} cells`,
							remedy: 'Ask for fewer at a time.'
						}
					]
				: []),
			...columns.flatMap((each, i) => (each.ok ? [] : at(`/columns/${i}`, each.problems))),
			...repeated(
				'columns',
				'label',
				labels.map((label) => ({ label }))
			),
			...(isKnown || columns.some((each) => !each.ok)
				? []
				: [
						{
							pointer: '/rank/column',
							message: `there is no column "${column}"`,
							remedy: `Name one of: ${labels.join(', ')}.`
						}
					])
		];
		if (all.length > 0 || !ranked.ok) return bad(all);
		return good(
			gradeLadder({
				cards: cards.map(({ version, isKey = false }) => ({ version, isKey })),
				...{ columns: read, points, populations: request.populations ?? [], house, on, jump },
				rules: { ...USUAL_ESTIMATE_RULES, ...request.rules },
				rank: { ...USUAL_RANK, ...rank, column: formatQuality(ranked.value) }
			})
		);
	}
});

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

export const setWorthComputation = defineComputation({
	name: 'set-worth',
	summary:
		'What copies are worth together, by group, one step worse, over time; panels against their singles.',
	input: SetWorthInput,
	output: SetWorthOutput,
	run(request: SetWorthRequest) {
		const { currency, on, rates = [], days = [], panels = [], lowerShare } = request;
		const { points, problems } = convertPoints(request.points, currency, rates);
		const all = [...problems, ...repeated('copies', 'key', request.copies)];
		if (all.length > 0) return bad(all);
		const rules = {
			...USUAL_WORTH_RULES,
			...request.rules,
			...(lowerShare === undefined ? {} : { lowerShare })
		};
		const copies = request.copies.map(
			({ quantity = 1, isKey = false, group = 'all', ...copy }) => ({
				...copy,
				...{ quantity, isKey, group }
			})
		);
		const index = indexPoints(points);
		return good({
			...setWorth(copies, points, on, rules),
			overTime: worthOverTime(copies, points, days, rules),
			panels: panels.map(({ panel, singles, ...quality }) => {
				const price = (version: string) =>
					estimatePrice(index, { ...quality, version }, on, rules).middleMinor;
				return panelWorth({
					...{ key: panel, intactMinor: price(panel), singlesMinor: singles.map(price) }
				});
			})
		});
	}
});

function at(pointer: string, problems: readonly Problem[]): readonly Problem[] {
	return problems.map(({ message, remedy }) => ({
		...{ pointer, message },
		...(remedy === undefined ? {} : { remedy })
	}));
}
