import { theCollection } from '$lib/server/collection';
import { search } from '$lib/server/search/search';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const text = (url.searchParams.get('q') ?? '').slice(0, 200);
	return { text, found: await search((await theCollection()).db, text) };
};
