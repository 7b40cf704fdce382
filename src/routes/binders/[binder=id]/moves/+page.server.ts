import { StepsDoneFormSchema } from '$lib/schemas/forms/binders';
import { readFormOf } from '$lib/server/read-form';
import { error, fail } from '@sveltejs/kit';
import { lieAsPlanned, takeSteps } from '$lib/server/binders/move-cards';
import { moveSlip } from '$lib/server/binders/move-slip';
import { readBinder } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { rowId } from '$lib/core/row-id';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const state = await readBinder((await theCollection()).db, rowId(Number(params.binder)));
	if (!state) error(404, 'There is no such binder.');
	return { slip: moveSlip(state) };
};

export const actions = {
	done: async ({ params, request }) => {
		const form = await readFormOf(request, StepsDoneFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { count, last } = form.value;
		const done = await takeSteps(await theCollection(), rowId(Number(params.binder)), count, last);
		return done.ok ? { done: true } : fail(409, { problems: done.problems });
	},
	planned: async ({ params }) => {
		const cards = await lieAsPlanned(await theCollection(), rowId(Number(params.binder)));
		if (cards === null) error(404, 'There is no such binder.');
		return { done: true };
	}
};
