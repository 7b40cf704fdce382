import { formatProblem } from '$lib/core/problem';
import { readPlanChoice } from '$lib/server/buying/plan/read-plan-choice';
import { keptView } from '$lib/server/buying/plan/kept-views';
import { theCollection } from '$lib/server/collection';
import { ndjson } from '$lib/server/ndjson';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { readPreference } from '$lib/server/preferences/preferences';
import { reasonOf } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';
import type { RequestHandler } from './$types';

/**
 * Searches for the cheapest plan of what is wanted: a line of JSON each (NDJSON), how far it is with the best plan so
 * far, then `{ view }`, or `{ problem }` where it takes too much. Closing the connection stops it.
 */
export const GET: RequestHandler = async ({ url, request }) => {
	const { db } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const choice = readPlanChoice(url.searchParams, currency);
	return ndjson(async (tell) => {
		if (!choice.ok) {
			tell.value({ problem: choice.problems.map(formatProblem).join(' ') });
			return;
		}
		try {
			const view = await keptView(db, `plan ${JSON.stringify(choice.value)}`, () =>
				runTask('planBuying', { choice: choice.value }, request.signal, tell.value)
			);
			tell.line(`{"view":${view}}`);
		} catch (error) {
			tell.value({ problem: reasonOf(error) });
		}
	});
};
