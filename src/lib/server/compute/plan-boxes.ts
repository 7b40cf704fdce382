import { BOX_KINDS } from '../../core/boxes/box-kind.ts';
import { planBoxes } from '../../core/boxes/plan-boxes.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import {
	PlanBoxesInput,
	PlanBoxesOutput,
	type PlanBoxesRequest
} from '../../schemas/compute-boxes.ts';
import { repeated } from './repeated.ts';

export const planBoxesComputation = {
	name: 'plan-boxes',
	summary: 'Boxes for sets: own ones, shared rows filled like lines of a paragraph, strays.',
	input: PlanBoxesInput,
	output: PlanBoxesOutput,
	run({ sets, ...options }: PlanBoxesRequest) {
		const { kinds = BOX_KINDS, sharedKind } = options;
		const isKnown = sharedKind === undefined || kinds.some(({ key }) => key === sharedKind);
		const problems: readonly Problem[] = [
			...repeated('sets', 'key', sets),
			...(isKnown
				? []
				: [
						{
							pointer: '/sharedKind',
							field: 'sharedKind',
							message: `there is no box kind "${sharedKind}"`,
							remedy: `Known are ${kinds.map(({ key }) => key).join(', ')}.`
						}
					])
		];
		if (problems.length > 0) return bad(problems);
		const usual = kinds.some(({ key }) => key === '5000') ? '5000' : kinds.at(-1)?.key;
		return good(planBoxes(sets, { ...options, sharedKind: sharedKind ?? usual ?? '5000' }));
	}
} as const;
