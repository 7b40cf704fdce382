import type { RequestHandler } from '@sveltejs/kit';
import { missingList } from '$lib/core/goal/missing-list';
import { formatMissingCsv } from '$lib/formats/missing-csv';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { readGoal } from '$lib/server/goals/read-goals';
import { problemResponse } from '$lib/server/problem-document';

export const GET: RequestHandler = async ({ params }) => {
	const goal = await readGoal((await theCollection()).db, Number(params.goal));
	if (!goal) return problemResponse(404, 'There is no such goal.');
	const { release, slots, filling } = goal;
	const parallelName = (key: string) =>
		release.parallels.find((parallel) => parallel.key === key)?.name ?? key;
	const csv = formatMissingCsv(missingList(release, slots, filling), parallelName);
	return download(csv, `${release.key}-missing.csv`, 'text/csv');
};
