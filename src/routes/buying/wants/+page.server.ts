import { fail } from '@sveltejs/kit';
import { parseSearchTemplate } from '$lib/core/buying/wants/search-text';
import { TemplateFormSchema } from '$lib/schemas/forms/buying';
import { setBuyingRules } from '$lib/server/buying/finish/choose-goals';
import { theCollection } from '$lib/server/collection';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { pageTask } from '$lib/server/workers/file-task';

export const load = async ({ depends, request }) => {
	depends('jade:copies');
	return pageTask('readWants', undefined, request.signal);
};

export const actions = {
	/** What the text to search for a card is made of. */
	template: async ({ request }) => {
		const form = await readFormOf(request, TemplateFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const read = parseSearchTemplate(form.value.template);
		if (!read.ok) return fail(400, { problems: read.problems });
		const collection = await theCollection();
		const rules = await readPreference(collection.db, BUYING_RULES);
		await setBuyingRules(collection, { ...rules, template: form.value.template });
		return { problems: [] };
	}
};
