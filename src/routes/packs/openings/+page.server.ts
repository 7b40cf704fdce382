import { fail, redirect } from '@sveltejs/kit';
import { resolve } from '$app/paths';
import { OpeningFormSchema } from '$lib/schemas/forms/packs';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { beginOpening } from '$lib/server/packs/openings/change-opening';
import { openingsView } from '$lib/server/packs/openings/openings-view';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return openingsView(db);
};

export const actions = {
	/** Begins an opening and goes there. */
	begin: async ({ request }) => {
		const form = await readFormOf(request, OpeningFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const collection = await theCollection();
		const { currency } = await readPreference(collection.db, BUYING_RULES);
		const done = await beginOpening(collection, { ...form.value, currency });
		if (!done.ok) return fail(400, { problems: done.problems });
		redirect(303, resolve('/packs/openings/[opening=id]', { opening: String(done.value.id) }));
	}
};
