import { ThemeFormSchema } from '$lib/schemas/forms';
import { readFormOf } from '$lib/server/read-form';
import { fail } from '@sveltejs/kit';
import { readStorageChoice } from '$lib/server/storage/plan/read-storage-options';
import { standAsPlanned } from '$lib/server/storage/plan/stand-as-planned';
import { theCollection } from '$lib/server/collection';
import { countReleases } from '$lib/server/releases/list-releases';
import { setTheme } from '$lib/server/checklists/set-theme';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		choice: await readStorageChoice(db, url.searchParams),
		isEmpty: (await countReleases(db)) === 0
	};
};

export const actions = {
	/** Records that all of the plan stands. */
	stand: async ({ url }) => {
		const collection = await theCollection();
		const choice = await readStorageChoice(collection.db, url.searchParams);
		return { stood: await standAsPlanned(collection, choice) };
	},
	theme: async ({ request }) => {
		const form = await readFormOf(request, ThemeFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { release, theme } = form.value;
		const done = await setTheme(await theCollection(), release, theme);
		return done.ok ? { themed: true } : fail(400, { problems: done.problems });
	}
};
