import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { splitCopy } from '$lib/server/copies/edit-copy';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

/** Takes one card off a pile. */
export const POST: RequestHandler = async ({ params }) => {
	const outcome = await splitCopy(await theCollection(), rowId(Number(params.copy)));
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'Nothing was split.', outcome.problems);
};
