import { usualChanges, whatIf } from '../../core/binder/what-if.ts';
import { bad, good } from '../../core/problem.ts';
import {
	SuppliesInput,
	SuppliesOutput,
	type SuppliesRequest
} from '../../schemas/compute-supplies.ts';
import { problemsOfBinder, unknownKinds } from './plan-binder.ts';
import { defineComputation } from './define-computation.ts';

export const suppliesComputation = defineComputation({
	name: 'supplies',
	summary:
		'Sleeves, leaves, binders and dividers that a binder takes, with their cost, and what if.',
	input: SuppliesInput,
	output: SuppliesOutput,
	run(request: SuppliesRequest) {
		const { slots, layout, prices = [], whatIf: changes, ...setting } = request;
		const problems = [
			...problemsOfBinder(request),
			...(changes ?? []).flatMap((change, i) => unknownKinds(change, request, `/whatIf/${i}`))
		];
		if (problems.length > 0) return bad(problems);
		const tried = changes ?? usualChanges(layout, setting);
		const [asItIs, ...others] = whatIf(slots, layout, tried, setting, prices);
		return good({ ...asItIs.supplies, whatIf: others });
	}
});
