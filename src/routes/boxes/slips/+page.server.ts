import { fail, redirect } from '@sveltejs/kit';
import { removeSlip } from '$lib/server/storage/slips/change-slips';
import { listSlips } from '$lib/server/storage/slips/slips';
import { listBinders } from '$lib/server/binders/read-binder';
import { changeAside, theCollection } from '$lib/server/collection';
import { NewSlipFormSchema, SlipIdFormSchema } from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		slips: await listSlips(db),
		binders: await listBinders(db)
	};
};

export const actions = {
	make: async ({ request }) => {
		const form = await readFormOf(request, NewSlipFormSchema);
		if (!form.ok) return fail(400, { sort: 'put away' as const, problems: form.problems });
		const { sort, of } = form.value;
		const done = await changeAside('makeSlip', form.value, request.signal);
		if (!done.ok) return fail(400, { sort, problems: done.problems });
		const missing = of === 'line' && done.notes.length > 0 ? `?missing=${done.notes.length}` : '';
		redirect(303, `/boxes/slips/${done.value.id}${missing}`);
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, SlipIdFormSchema);
		if (!form.ok) return fail(400, { sort: 'put away' as const, problems: form.problems });
		await removeSlip(await theCollection(), form.value.slip);
		return { removed: true };
	}
};
