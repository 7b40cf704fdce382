import { isHttpError } from '@sveltejs/kit';
import { changeAside, theCollection } from '$lib/server/collection';
import { ndjson } from '$lib/server/ndjson';
import { readStorageChoice } from '$lib/server/storage/plan/read-storage-options';
import { reasonOf } from '$lib/server/workers/file-task';
import type { RequestHandler } from './$types';

/**
 * Records that all of the plan stands: a line of JSON each (NDJSON), `{ of, done, total }` while it goes on, then
 * `{ view }` with how many boxes and cards stand, or `{ problem }`. Closing the connection stops it: then nothing
 * stands.
 */
export const POST: RequestHandler = async ({ url, request }) => {
	const { db } = await theCollection();
	const choice = await readStorageChoice(db, url.searchParams);
	return ndjson(async (tell) => {
		try {
			const stood = await changeAside('standAsPlanned', { choice }, request.signal, tell.value);
			tell.value({ view: stood });
		} catch (error) {
			tell.value({ problem: isHttpError(error) ? error.body.message : reasonOf(error) });
		}
	});
};
