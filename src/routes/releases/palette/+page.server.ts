import { fail } from '@sveltejs/kit';
import { parseTells } from '$lib/core/checklist/rule-sheet/tell-cell';
import {
	FinishFormSchema,
	FinishKeyFormSchema,
	SharedFinishFormSchema
} from '$lib/schemas/forms/releases';
import { theCollection } from '$lib/server/collection';
import { readPaletteUse, removeFinish, saveFinish, shareFinish } from '$lib/server/palette/palette';
import { readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	return readPaletteUse((await theCollection()).db);
};

export const actions = {
	save: async ({ request }) => {
		const form = await readFormOf(request, FinishFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { name, key, tells: cell, ...rest } = form.value;
		const tells = parseTells(cell ?? '');
		if (!tells.ok) return fail(400, { problems: tells.problems });
		const said = Object.fromEntries(
			Object.entries(rest).filter(([, value]) => value !== null && value !== '')
		);
		const done = await saveFinish(await theCollection(), {
			...said,
			...(tells.value.length > 0 ? { tells: tells.value } : {}),
			name,
			...(key ? { key } : {})
		});
		return done.ok ? { problems: [] } : fail(400, { problems: done.problems });
	},
	share: async ({ request }) => {
		const form = await readFormOf(request, SharedFinishFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const done = await shareFinish(await theCollection(), form.value.name);
		return done.ok ? { problems: [] } : fail(400, { problems: done.problems });
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, FinishKeyFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const done = await removeFinish(await theCollection(), form.value.key);
		return done.ok ? { problems: [] } : fail(400, { problems: done.problems });
	}
};
