import { theCollection } from '$lib/server/collection';
import { pageTask } from '$lib/server/workers/file-task';
import { readScope } from './read-scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const scope = readScope(url.searchParams.get('of') ?? '');
	return pageTask('valueView', { scope, today: now().slice(0, 10) }, request.signal);
};
