import { formatQuality, parseQuality } from '../../core/copies/quality-label.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import { gradeLadder, USUAL_RANK } from '../../core/worth/ladder/grade-ladder.ts';
import { USUAL_JUMP } from '../../core/worth/ladder/ladder-steps.ts';
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
	SetWorthInput,
	SetWorthOutput,
	type EstimatePriceRequest,
	type GradeLadderRequest,
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
