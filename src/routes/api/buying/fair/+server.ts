import { keptView } from '$lib/server/buying/plan/kept-views';
import { theCollection } from '$lib/server/collection';
import { ndjson } from '$lib/server/ndjson';
import { reasonOf } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';
import type { RequestHandler } from './$types';

/** More are no lot that anybody ticks. */
const MOST = 1000;

/**
 * Works out what each want is worth, given the best other way to get it: a line of JSON each (NDJSON), `{ done, total }`
 * while it goes on, then `{ view }`, or `{ problem }`. Keys of wants in `together` (once each) ask what these are worth
 * as one lot. Closing the connection stops it.
 */
export const GET: RequestHandler = ({ request, url }) =>
	ndjson(async (tell) => {
		try {
			const { db } = await theCollection();
			const keys = [...new Set(url.searchParams.getAll('together'))].slice(0, MOST).sort();
			const view =
				keys.length > 0
					? await keptView(db, `fair ${JSON.stringify(keys)}`, () =>
							runTask('fairLot', { keys }, request.signal)
						)
					: await keptView(db, 'fair', () =>
							runTask('fairView', undefined, request.signal, tell.value)
						);
			tell.line(`{"view":${view}}`);
		} catch (error) {
			tell.value({ problem: reasonOf(error) });
		}
	});
