import { fail, redirect } from '@sveltejs/kit';
import { makeSlip, removeSlip } from '$lib/server/storage/slips/change-slips';
import type { SlipSource } from '$lib/server/storage/slips/find-slip-cards';
import { copiesForBinder } from '$lib/server/storage/slips/copies-for-binder';
import { listSlips } from '$lib/server/storage/slips/slips';
import { listBinders } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { formFields } from '$lib/server/form-fields';
import { listReleaseNames } from '$lib/server/releases/list-releases';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		slips: await listSlips(db),
		releases: await listReleaseNames(db),
		binders: await listBinders(db)
	};
};

export const actions = {
	make: async ({ request }) => {
		const { word, id } = formFields(await request.formData());
		const collection = await theCollection();
		const sort = word('sort') === 'pull' ? 'pull' : 'put away';
		const of = word('of');
		const source: SlipSource =
			of === 'homeless' || of === 'to sell'
				? { of }
				: of === 'binder'
					? { of: 'copies', ids: await copiesForBinder(collection.db, id('binder')) }
					: { of: 'line', release: word('release'), line: word('line') };
		const done = await makeSlip(collection, sort, word('name'), source);
		if (!done.ok) return fail(400, { sort, problems: done.problems });
		const missing =
			source.of === 'line' && done.notes.length > 0 ? `?missing=${done.notes.length}` : '';
		redirect(303, `/boxes/slips/${done.value.id}${missing}`);
	},
	remove: async ({ request }) => {
		const { id } = formFields(await request.formData());
		await removeSlip(await theCollection(), id('slip'));
		return { removed: true };
	}
};
