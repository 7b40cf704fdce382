import { formatProblem } from '$lib/core/problem';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { ndjson } from '$lib/server/ndjson';
import { readPreference } from '$lib/server/preferences/preferences';
import { readQuery } from '$lib/server/read-query';
import { reasonOf } from '$lib/server/workers/file-task';
import { runTask } from '$lib/server/workers/run-task';
import type { RequestHandler } from './$types';

/**
 * Opens packs over and over until nothing of a goal is lacking: a line of JSON each (NDJSON), how far it is, then
 * `{ view }`, or `{ problem }`. Closing the connection stops it.
 */
export const GET: RequestHandler = async ({ url, request }) => {
	const { db } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const said = readQuery(url.searchParams, currency);
	const ask = {
		...{ goal: said.id<'goals'>('goal'), pack: said.text('pack') },
		isWithinGroup: said.isYes('friends'),
		runs: Math.round(said.number('runs', 1, 1_000_000) ?? 10_000),
		seed: Math.round(said.number('seed', 1, 2 ** 31) ?? 1),
		forHarder: said.number('harder', 1, 1000) ?? null
	};
	return ndjson(async (tell) => {
		if (said.misread.length > 0) {
			tell.value({ problem: said.misread.map(formatProblem).join(' ') });
			return;
		}
		try {
			const read = await runTask('simulateGoal', ask, request.signal, tell.value);
			if (read.ok) tell.value({ view: read.value });
			else tell.value({ problem: read.problems.map(formatProblem).join(' ') });
		} catch (error) {
			tell.value({ problem: reasonOf(error) });
		}
	});
};
