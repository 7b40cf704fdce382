import { usableRowUm } from '../../core/storage/plan/plan-boxes.ts';
import type { BoxKind } from '../../core/storage/kinds/box-kind.ts';
import { cardUm } from '../../core/measuring/stock.ts';
import { problemsOfSet } from './problems-of-set.ts';
import { BOX_KINDS } from '../../core/storage/kinds/box-kind.ts';
import { planBoxes } from '../../core/storage/plan/plan-boxes.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import {
	PlanBoxesInput,
	PlanBoxesOutput,
	type PlanBoxesRequest
} from '../../schemas/compute-boxes.ts';
import { repeated } from './repeated.ts';
import { defineComputation } from './define-computation.ts';

/** The most boxes that are planned at once: what a few bytes may say is far more. */
const MOST_BOXES = 20_000;

/** Rows that take no card, or so many boxes that nobody means them. */
function problemsOfRows(
	shared: BoxKind | undefined,
	sets: PlanBoxesRequest['sets'],
	pointer: string
): readonly Problem[] {
	if (!shared || sets.length === 0) return [];
	const rowUm = usableRowUm(shared, sets);
	if (rowUm <= 0) {
		return [
			{
				pointer,
				field: 'rowMm',
				message: `a row of ${shared.rowMm} mm takes not even one card beside its divider`,
				remedy: 'Share a box with longer rows.'
			}
		];
	}
	const um = sets.reduce(
		(sum, { cards, need, stockPt }) => sum + (cards + need) * cardUm(stockPt),
		0
	);
	const boxes = Math.ceil(um / (rowUm * shared.rows));
	return boxes > MOST_BOXES
		? [
				{
					pointer: '/sets',
					message: `these sets fill some ${boxes} boxes; at most ${MOST_BOXES} are planned`,
					remedy: 'Plan fewer cards at a time.'
				}
			]
		: [];
}

export const planBoxesComputation = defineComputation({
	name: 'plan-boxes',
	summary: 'Boxes for sets: own ones, shared rows filled like lines of a paragraph, strays.',
	input: PlanBoxesInput,
	output: PlanBoxesOutput,
	run({ sets, ...options }: PlanBoxesRequest) {
		const { kinds = BOX_KINDS, sharedKind, classes = [] } = options;
		const usual = kinds.find(({ key }) => key === '5000') ?? kinds.at(-1);
		const named = new Set(classes.map(({ name }) => name));
		const isOfNone = ({ keptIn }: { readonly keptIn?: string }) =>
			keptIn === undefined || !named.has(keptIn);
		const asked = [
			{ pointer: '/sharedKind', kind: sharedKind, of: sets.filter(isOfNone) },
			...classes.map(({ name, sharedKind: kind }, i) => ({
				...{ pointer: `/classes/${i}/sharedKind`, kind },
				of: sets.filter(({ keptIn }) => keptIn === name)
			}))
		];
		const problems: readonly Problem[] = [
			...repeated('sets', 'key', sets),
			...repeated('classes', 'name', classes),
			...sets.flatMap((set, i) => problemsOfSet(set, `/sets/${i}`)),
			...asked.flatMap(({ pointer, kind, of }) => {
				const shared = kinds.find(({ key }) => key === (kind ?? sharedKind)) ?? usual;
				const isKnown = kind === undefined || shared?.key === kind;
				return isKnown
					? problemsOfRows(shared, of, pointer)
					: [
							{
								pointer,
								field: 'sharedKind',
								message: `there is no box kind "${kind}"`,
								remedy: `Known are ${kinds.map(({ key }) => key).join(', ')}.`
							}
						];
			})
		];
		if (problems.length > 0) return bad(problems);
		return good(planBoxes(sets, { ...options, sharedKind: sharedKind ?? usual?.key ?? '5000' }));
	}
});
