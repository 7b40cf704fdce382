import {
	GradedFileFormSchema,
	NotedPricesFormSchema,
	PriceIdFormSchema,
	WorthRulesFormSchema
} from '$lib/schemas/forms/worth';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { readForm, readFormFile, readFormOf } from '$lib/server/read-form';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import { readGradedFile } from '$lib/server/workers/read-file';
import { importPrices } from '$lib/server/worth/import-graded';
import { dropPrice, notePrices } from '$lib/server/worth/prices/note-prices';
import { setWorthRules } from '$lib/server/worth/worth-rules';
import { answer } from '$lib/server/answer';
import type { PageServerLoad } from './$types';

const theCurrency = async () => {
	const { db } = await theCollection();
	return (await readPreference(db, BUYING_RULES)).currency;
};

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const { misread, text } = readQuery(url.searchParams, 'EUR');
	const ask = { release: text('release') || null, today: now().slice(0, 10) };
	return { ...(await pageTask('priceBookView', ask, request.signal)), today: ask.today, misread };
};

export const actions = {
	note: async ({ request }) => {
		const form = await readFormOf(request, NotedPricesFormSchema);
		if (!form.ok) return answer('note', form);
		const currency = await theCurrency();
		const done = await notePrices(await theCollection(), { ...form.value, currency });
		return answer('note', done, done.ok ? `${done.value.prices} noted.` : '');
	},
	file: async ({ request }) => {
		const data = await request.formData();
		const form = readForm(data, GradedFileFormSchema);
		if (!form.ok) return answer('file', form);
		const { bytes } = await readFormFile(data, form.value.text ?? '');
		const values = await readGradedFile(bytes, request.signal);
		if (!values.ok) return answer('file', values);
		const currency = await theCurrency();
		const done = await importPrices(await theCollection(), values.value, {
			...form.value,
			currency
		});
		return answer('file', done, done.ok ? `${done.value.prices} prices taken in.` : '');
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, PriceIdFormSchema);
		if (!form.ok) return answer('list', form);
		return answer('list', await dropPrice(await theCollection(), form.value.price));
	},
	rules: async ({ request }) => {
		const form = await readFormOf(request, WorthRulesFormSchema);
		if (!form.ok) return answer('rules', form);
		return answer('rules', await setWorthRules(await theCollection(), form.value), 'Kept.');
	}
};
