import { theCollection } from '$lib/server/collection';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const { text } = readQuery(url.searchParams, 'EUR');
	const ask = {
		subject: text('subject'),
		quality: text('at') || 'near mint',
		today: now().slice(0, 10)
	};
	return pageTask('subjectPricesView', ask, request.signal);
};
