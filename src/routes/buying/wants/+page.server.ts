import { fail } from '@sveltejs/kit';
import { parseSearchTemplate } from '$lib/core/buying/wants/search-text';
import { SharedListFormSchema, WithdrawFormSchema } from '$lib/schemas/forms/access';
import { TemplateFormSchema } from '$lib/schemas/forms/buying';
import { listShared, shareList, withdrawList } from '$lib/server/access/shared-lists';
import { setBuyingRules } from '$lib/server/buying/finish/choose-goals';
import { theCollection } from '$lib/server/collection';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { pageTask } from '$lib/server/workers/file-task';

export const load = async ({ depends, request, locals }) => {
	depends('jade:copies');
	const shared = locals.role === 'owner' ? await listShared((await theCollection()).db) : [];
	return { ...(await pageTask('readWants', undefined, request.signal)), shared };
};

export const actions = {
	/** Makes a link to the list for somebody. */
	share: async ({ request }) => {
		const form = await readFormOf(request, SharedListFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		await shareList(await theCollection(), form.value.name);
		return { problems: [] };
	},
	/** From then on the link leads nowhere. */
	withdraw: async ({ request }) => {
		const form = await readFormOf(request, WithdrawFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		await withdrawList(await theCollection(), form.value.list);
		return { problems: [] };
	},
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
