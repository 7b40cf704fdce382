import type { RequestHandler } from '@sveltejs/kit';
import { missingList } from '$lib/core/goal/missing-list';
import { formatMissingCsv } from '$lib/formats/missing-csv';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { readGoal } from '$lib/server/goals/read-goals';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

export const GET: RequestHandler = async ({ params }) => {
	const goal = await readGoal((await theCollection()).db, rowId(Number(params.goal)));
	if (!goal) return problemResponse(404, 'There is no such goal.');
	const { releases, slots, filling } = goal;
	const csv = formatMissingCsv(
		releases.map((release) => ({ release, groups: missingList(release, slots, filling) }))
	);
	return download(csv, `missing-${params.goal ?? ''}.csv`, 'text/csv');
};
