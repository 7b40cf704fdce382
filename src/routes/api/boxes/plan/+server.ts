import { readStorageChoice } from '$lib/server/storage/plan/read-storage-options';
import { theCollection } from '$lib/server/collection';
import { ndjson } from '$lib/server/ndjson';
import { reasonOf } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';
import type { RequestHandler } from './$types';

/**
 * Plans places for all that has none: a line of JSON each (NDJSON), `{ done, total }` while it goes on,
 * then `{ view }`, or `{ problem }` where it takes too much. Closing the connection stops it.
 */
export const GET: RequestHandler = async ({ url, request }) => {
	const { db } = await theCollection();
	const choice = await readStorageChoice(db, url.searchParams);
	return ndjson(async (tell) => {
		try {
			const view = await runTask('planStorage', { choice }, request.signal, tell.value);
			tell.line(`{"view":${view}}`);
		} catch (error) {
			tell.value({ problem: reasonOf(error) });
		}
	});
};
