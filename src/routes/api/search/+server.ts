import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { search } from '$lib/server/search/search';

/** Everything that has all words of `?q=`. */
export const GET: RequestHandler = async ({ url }) =>
	json(await search((await theCollection()).db, (url.searchParams.get('q') ?? '').slice(0, 200)));
