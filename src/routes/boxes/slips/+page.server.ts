import { fail, redirect } from '@sveltejs/kit';
import { makeSlip, removeSlip } from '$lib/server/storage/slips/change-slips';
import type { SlipSource } from '$lib/server/storage/slips/find-slip-cards';
import { copiesForBinder } from '$lib/server/storage/slips/copies-for-binder';
import { misplacedCopies } from '$lib/server/storage/slips/misplaced-copies';
import { listSlips } from '$lib/server/storage/slips/slips';
import { listBinders } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { NewSlipFormSchema, SlipIdFormSchema, type NewSlip } from '$lib/schemas/forms/boxes';
import type { Reader } from '$lib/server/database/open';
import { readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		slips: await listSlips(db),
		binders: await listBinders(db)
	};
};

/** What is pulled in an evening. */
const MOST_MISPLACED = 1000;

/** Which cards a slip is made for. */
async function sourceOf(db: Reader, asked: NewSlip): Promise<SlipSource> {
	const { of, binder = null, release = '', line = '' } = asked;
	if (of === 'line') return { of, release, line };
	if (of === 'misplaced') return { of: 'copies', ids: await misplacedCopies(db, MOST_MISPLACED) };
	if (of !== 'binder') return { of };
	return { of: 'copies', ids: binder === null ? [] : await copiesForBinder(db, binder) };
}

export const actions = {
	make: async ({ request }) => {
		const form = await readFormOf(request, NewSlipFormSchema);
		if (!form.ok) return fail(400, { sort: 'put away' as const, problems: form.problems });
		const { sort, name = '', ...of } = form.value;
		const collection = await theCollection();
		const source = await sourceOf(collection.db, of);
		if (of.of === 'misplaced' && source.of === 'copies' && source.ids.length === 0) {
			const message = 'every card stands in a box for its class, tier or set';
			return fail(400, { sort, problems: [{ message }] });
		}
		const done = await makeSlip(collection, sort, name, source);
		if (!done.ok) return fail(400, { sort, problems: done.problems });
		const missing =
			of.of === 'line' && done.notes.length > 0 ? `?missing=${done.notes.length}` : '';
		redirect(303, `/boxes/slips/${done.value.id}${missing}`);
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, SlipIdFormSchema);
		if (!form.ok) return fail(400, { sort: 'put away' as const, problems: form.problems });
		await removeSlip(await theCollection(), form.value.slip);
		return { removed: true };
	}
};
