import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { takeBack } from '$lib/server/journal/undo-step';
import { problemResponse } from '$lib/server/problem-document';

/** Takes back one step, whatever else was done since; refused where later steps build on it. */
export const DELETE: RequestHandler = async ({ params }) => {
	const outcome = await takeBack(await theCollection(), Number(params.id));
	return outcome.ok
		? json(outcome.value)
		: problemResponse(409, 'The step was not taken back.', outcome.problems);
};
