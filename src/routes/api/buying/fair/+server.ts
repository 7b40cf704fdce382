import { keptView } from '$lib/server/buying/plan/kept-views';
import { theCollection } from '$lib/server/collection';
import { ndjson } from '$lib/server/ndjson';
import { reasonOf } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';
import type { RequestHandler } from './$types';

/**
 * Works out what each want is worth, given the best other way to get it: a line of JSON each (NDJSON), `{ done, total }`
 * while it goes on, then `{ view }`, or `{ problem }`. Closing the connection stops it.
 */
export const GET: RequestHandler = ({ request }) =>
	ndjson(async (tell) => {
		try {
			const { db } = await theCollection();
			const view = await keptView(db, 'fair', () =>
				runTask('fairView', undefined, request.signal, tell.value)
			);
			tell.line(`{"view":${view}}`);
		} catch (error) {
			tell.value({ problem: reasonOf(error) });
		}
	});
