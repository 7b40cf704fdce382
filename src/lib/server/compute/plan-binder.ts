import { planBinder } from '../../core/binder/plan-binder.ts';
import { good } from '../../core/problem.ts';
import {
	PlanBinderInput,
	PlanBinderOutput,
	type PlanBinderRequest
} from '../../schemas/compute.ts';

export const planBinderComputation = {
	name: 'plan-binder',
	summary: 'Lays slots into binder pages, a pocket each, filled or not.',
	input: PlanBinderInput,
	output: PlanBinderOutput,
	run({ slots, layout, rarities }: PlanBinderRequest) {
		return good(planBinder(slots, layout, rarities));
	}
} as const;
