import { theCollection } from '$lib/server/collection';
import { loadDemo } from '$lib/server/demo/load-demo';
import { ndjson } from '$lib/server/ndjson';
import type { RequestHandler } from './$types';

/**
 * Puts the demo world into an empty collection: a line of JSON each, `{ done, total }` while it goes on,
 * then `{ loaded }`, false where the collection is not empty. All of it or nothing comes in.
 */
export const POST: RequestHandler = async () => {
	const collection = await theCollection();
	return ndjson(async (tell) => {
		const loaded = await loadDemo(collection, (done, total) => tell.value({ done, total }));
		tell.value({ loaded });
	});
};
