import { json, type RequestHandler } from '@sveltejs/kit';
import { GoalRequestSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { changeGoal } from '$lib/server/goals/make-goal';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { rowId } from '$lib/core/row-id';

/** Decides the rules of a goal anew. */
export const PUT: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, GoalRequestSchema);
	if (!body.ok) return body.response;
	const { name = '', rules } = body.value;
	const outcome = await changeGoal(await theCollection(), rowId(Number(params.goal)), {
		name,
		rules
	});
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The goal was not changed.', outcome.problems);
};
