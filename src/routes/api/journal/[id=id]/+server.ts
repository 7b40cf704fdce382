import { json, type RequestHandler } from '@sveltejs/kit';
import { moveJournal } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

/** Takes back one step, whatever else was done since; refused where later steps build on it. */
export const DELETE: RequestHandler = async ({ params }) => {
	const outcome = await moveJournal({ move: 'step or undo', id: rowId(Number(params.id)) });
	return outcome.ok
		? json(outcome.value)
		: problemResponse(409, 'The step was not taken back.', outcome.problems);
};
