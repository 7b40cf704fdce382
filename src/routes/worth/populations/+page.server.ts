import {
	GradedFileFormSchema,
	HouseFormSchema,
	HouseIdFormSchema,
	PopulationFormSchema,
	PopulationIdFormSchema
} from '$lib/schemas/forms/worth';
import { theCollection } from '$lib/server/collection';
import { readForm, readFormFile, readFormOf } from '$lib/server/read-form';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import { readGradedFile } from '$lib/server/workers/read-file';
import { keepHouse, removeHouse } from '$lib/server/worth/houses';
import { importPopulations } from '$lib/server/worth/import-graded';
import { dropPopulation, keepPopulation } from '$lib/server/worth/populations/keep-population';
import { answer } from '$lib/server/answer';
import type { PageServerLoad } from './$types';

const USUAL_LEAST = 8;

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { misread, text, number } = readQuery(url.searchParams, 'EUR');
	const ask = {
		release: text('release') || null,
		least: number('least', 1, 10) ?? USUAL_LEAST,
		against: text('against') || null
	};
	return { ...(await pageTask('populationsView', ask, request.signal)), misread };
};

export const actions = {
	keep: async ({ request }) => {
		const form = await readFormOf(request, PopulationFormSchema);
		if (!form.ok) return answer('keep', form);
		return answer('keep', await keepPopulation(await theCollection(), form.value), 'Kept.');
	},
	file: async ({ request }) => {
		const data = await request.formData();
		const form = readForm(data, GradedFileFormSchema);
		if (!form.ok) return answer('file', form);
		const { bytes } = await readFormFile(data, form.value.text ?? '');
		const values = await readGradedFile(bytes, request.signal);
		if (!values.ok) return answer('file', values);
		const done = await importPopulations(await theCollection(), values.value, {
			...form.value,
			currency: ''
		});
		return answer('file', done, done.ok ? `${done.value.reports} populations taken in.` : '');
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, PopulationIdFormSchema);
		if (!form.ok) return answer('list', form);
		return answer('list', await dropPopulation(await theCollection(), form.value.report));
	},
	house: async ({ request }) => {
		const form = await readFormOf(request, HouseFormSchema);
		if (!form.ok) return answer('house', form);
		const { name, grades, givesAuthentic } = form.value;
		const draft = { name, grades, givesAuthentic: givesAuthentic !== undefined };
		return answer('house', await keepHouse(await theCollection(), draft), 'Kept.');
	},
	dropHouse: async ({ request }) => {
		const form = await readFormOf(request, HouseIdFormSchema);
		if (!form.ok) return answer('house', form);
		return answer('house', await removeHouse(await theCollection(), form.value.house));
	}
};
