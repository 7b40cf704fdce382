import { BINDER_KINDS } from '../../core/binder/binder-kind.ts';
import type { LayoutChoice } from '../../core/binder/binder-layout.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import { planBinder } from '../../core/binder/plan-binder.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import {
	PlanBinderInput,
	PlanBinderOutput,
	type PlanBinderRequest
} from '../../schemas/compute-binder.ts';
import { repeated } from './repeated.ts';

export const planBinderComputation = {
	name: 'plan-binder',
	summary: 'Lays slots into the pages and volumes of a binder, a pocket each, filled or not.',
	input: PlanBinderInput,
	output: PlanBinderOutput,
	run(request: PlanBinderRequest) {
		const problems = problemsOfBinder(request);
		if (problems.length > 0) return bad(problems);
		const { slots, layout, ...setting } = request;
		return good(planBinder(slots, layout, setting));
	}
} as const;

/** What no schema can tell of a binder's slots and kinds. */
export function problemsOfBinder(
	request: Pick<PlanBinderRequest, 'slots' | 'layout'> & OwnKinds
): readonly Problem[] {
	return [
		...repeated('slots', 'key', request.slots),
		...unknownKinds(request.layout, request, '/layout')
	];
}

type OwnKinds = Pick<PlanBinderRequest, 'pageKinds' | 'binderKinds'>;

/** Kinds that a layout (or a change of it), found at `place`, names and nobody has. */
export function unknownKinds(
	layout: Partial<LayoutChoice>,
	{ pageKinds = [], binderKinds = [] }: OwnKinds,
	place: string
): readonly Problem[] {
	return [
		...unknownKind(place, 'pageKind', layout.pageKind, [...pageKinds, ...PAGE_KINDS]),
		...unknownKind(place, 'binderKind', layout.binderKind, [...binderKinds, ...BINDER_KINDS])
	];
}

function unknownKind(
	place: string,
	field: 'pageKind' | 'binderKind',
	key: string | undefined,
	known: readonly { readonly key: string }[]
): readonly Problem[] {
	if (key === undefined || known.some((kind) => kind.key === key)) return [];
	return [
		{
			pointer: `${place}/${field}`,
			field,
			message: `there is no ${field === 'pageKind' ? 'page' : 'binder'} kind "${key}"`,
			remedy: `Known are ${known.map((kind) => kind.key).join(', ')}; own ones go into ${field}s.`
		}
	];
}
