import { readPreference } from '$lib/server/preferences/preferences';
import { setClassLines, STORAGE_CLASSES } from '$lib/server/preferences/storage-classes';
import { ClassLinesFormSchema } from '$lib/schemas/forms/releases';
import { ThemeFormSchema } from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';
import { fail } from '@sveltejs/kit';
import { readStorageChoice } from '$lib/server/storage/plan/read-storage-options';
import { theCollection } from '$lib/server/collection';
import { countReleases } from '$lib/server/releases/list-releases';
import { setTheme } from '$lib/server/checklists/set-theme';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		choice: await readStorageChoice(db, url.searchParams),
		classes: await readPreference(db, STORAGE_CLASSES),
		isEmpty: (await countReleases(db)) === 0
	};
};

export const actions = {
	/** What is kept apart, a line each; with any problem none is changed. */
	classes: async ({ request }) => {
		const form = await readFormOf(request, ClassLinesFormSchema);
		if (!form.ok) return fail(400, { of: 'classes', problems: form.problems });
		const outcome = await setClassLines(await theCollection(), form.value.lines);
		return outcome.ok
			? { of: 'classes', problems: [] }
			: fail(400, { of: 'classes', problems: outcome.problems });
	},
	theme: async ({ request }) => {
		const form = await readFormOf(request, ThemeFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { release, theme } = form.value;
		const done = await setTheme(await theCollection(), release, theme);
		return done.ok ? { themed: true } : fail(400, { problems: done.problems });
	}
};
