import { WorksheetRulesFormSchema } from '$lib/schemas/forms/bench';
import { answer } from '$lib/server/answer';
import { setWorksheetRules } from '$lib/server/bench/worksheet-rules';
import { worksheetsView } from '$lib/server/bench/worksheets-view';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';

/** `?release=key` */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return worksheetsView(db, url.searchParams.get('release')?.slice(0, 420) || null);
};

export const actions = {
	rules: async ({ request }) => {
		const form = await readFormOf(request, WorksheetRulesFormSchema);
		if (!form.ok) return answer('rules', form);
		return answer('rules', await setWorksheetRules(await theCollection(), form.value), 'Kept.');
	}
};
