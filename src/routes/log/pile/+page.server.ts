import { fail } from '@sveltejs/kit';
import { parseClassLines } from '$lib/core/storage/classes/class-lines';
import { ClassLinesFormSchema } from '$lib/schemas/forms';
import { readFormOf } from '$lib/server/read-form';
import { theCollection } from '$lib/server/collection';
import { listSynonyms } from '$lib/server/copies/synonyms';
import { listTrays } from '$lib/server/copies/trays';
import { beginPile } from '$lib/server/pile/read-pile';
import { setStorageClasses, STORAGE_CLASSES } from '$lib/server/pile/storage-classes';
import { readPreference } from '$lib/server/preferences/preferences';

/** What a pile is judged by: read once; while it is gone through, the page keeps it up to date itself. */
export const load = async ({ url }) => {
	const { db } = await theCollection();
	const text = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 200);
	const hint = { year: text('year'), maker: text('maker') };
	const wanted = Number(url.searchParams.get('pile'));
	return {
		hint,
		only: url.searchParams.get('release'),
		view: await beginPile(db, url.searchParams.get('release'), hint),
		synonyms: await listSynonyms(db),
		classes: await readPreference(db, STORAGE_CLASSES),
		pile: (await listTrays(db)).find((tray) => tray.id === wanted && tray.tray === 'to log') ?? null
	};
};

export const actions = {
	/** The storage classes, a line each; with any problem none is changed. */
	classes: async ({ request }) => {
		const form = await readFormOf(request, ClassLinesFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const rules = parseClassLines(form.value.lines);
		if (!rules.ok) return fail(400, { problems: rules.problems });
		const outcome = await setStorageClasses(await theCollection(), rules.value);
		return outcome.ok ? { problems: [] } : fail(400, { problems: outcome.problems });
	}
};
