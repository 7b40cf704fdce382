import { fillSlots } from '../../core/goal/fill-slots.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import { FillInput, FillOutput, type FillRequest } from '../../schemas/compute.ts';
import { defineComputation } from './define-computation.ts';

export const fillSlotsComputation = defineComputation({
	name: 'fill-slots',
	summary:
		'Fills slots with copies by matching: most slots first, then the best-conditioned copies.',
	input: FillInput,
	output: FillOutput,
	run({ slots, copies }: FillRequest) {
		const problems = [...repeated('slots', slots), ...repeated('copies', copies)];
		if (problems.length > 0) return bad(problems);
		return good(fillSlots(slots.map(single), copies.map(single)));
	}
});

function single<Thing extends { readonly quantity?: number }>(thing: Thing) {
	return { ...thing, quantity: thing.quantity ?? 1 };
}

function repeated(list: string, things: readonly { readonly key: string }[]): Problem[] {
	const seen = new Set<string>();
	return things.flatMap(({ key }, i) => {
		if (!seen.has(key)) {
			seen.add(key);
			return [];
		}
		return [
			{ pointer: `/${list}/${i}/key`, field: 'key', message: `the key "${key}" stands twice` }
		];
	});
}
