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
import { defineComputation } from './define-computation.ts';

export const planBinderComputation = defineComputation({
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
});

/** What no schema can tell of a binder's slots and kinds. */
export function problemsOfBinder(
	request: Pick<PlanBinderRequest, 'slots' | 'layout'> & OwnKinds
): readonly Problem[] {
	return [
		...repeated('slots', 'key', request.slots),
		...tooManyPockets(request),
		...unknownKinds(request.layout, request, '/layout')
	];
}

/** The most pockets that are laid at once: pictures and reserves may ask for any number. */
const MOST_POCKETS = 1_000_000;

function tooManyPockets({
	slots,
	layout
}: Pick<PlanBinderRequest, 'slots' | 'layout'>): readonly Problem[] {
	const pictures = new Map<string, number>();
	const blocks = new Set<string>();
	for (const { puzzle, block } of slots) {
		blocks.add(block);
		if (puzzle) pictures.set(`${block} ${puzzle.key}`, puzzle.columns * puzzle.rows);
	}
	const asked =
		slots.length +
		[...pictures.values()].reduce((sum, cells) => sum + cells, 0) +
		blocks.size * ((layout.reserve ?? 0) + (layout.slack ?? 0) + 1) +
		(layout.ownOrder?.length ?? 0);
	return asked <= MOST_POCKETS
		? []
		: [
				{
					pointer: '/slots',
					message: `pictures and reserves ask for ${asked} pockets; at most ${MOST_POCKETS} are laid`,
					remedy: 'Lay fewer blocks at a time, or keep fewer pockets free.'
				}
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
