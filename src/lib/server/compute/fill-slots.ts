import { fillSlots } from '../../core/goal/fill-slots.ts';
import { wholeSets } from '../../core/goal/whole-sets.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import { FillInput, FillOutput, WholeSetsOutput, type FillRequest } from '../../schemas/compute.ts';
import { defineComputation } from './define-computation.ts';

export const fillSlotsComputation = defineComputation({
	name: 'fill-slots',
	summary:
		'Fills slots with copies by matching: most slots first, then the best-conditioned copies.',
	input: FillInput,
	output: FillOutput,
	run(request: FillRequest) {
		const given = readGiven(request);
		return given.ok ? good(fillSlots(given.value.slots, given.value.copies)) : given;
	}
});

export const wholeSetsComputation = defineComputation({
	name: 'whole-sets',
	summary: 'Counts the whole sets that copies make, and names what the next one lacks.',
	input: FillInput,
	output: WholeSetsOutput,
	run(request: FillRequest) {
		const given = readGiven(request);
		return given.ok ? good(wholeSets(given.value.slots, given.value.copies)) : given;
	}
});

/** Slots and copies with all their quantities, or what stands twice. */
function readGiven({ slots, copies }: FillRequest) {
	const problems = [...repeated('slots', slots), ...repeated('copies', copies)];
	return problems.length > 0
		? bad(problems)
		: good({ slots: slots.map(single), copies: copies.map(single) });
}

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
