import { json, type RequestHandler } from '@sveltejs/kit';
import { GoalRequestSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { changeGoal } from '$lib/server/goals/make-goal';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { rowId, type GoalId } from '$lib/core/row-id';

/** Decides the rules of a goal anew. */
export const PUT: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, GoalRequestSchema);
	if (!body.ok) return body.response;
	const { name = '', rules, seen } = body.value;
	const id: GoalId = rowId(Number(params.goal));
	const outcome = await changeGoal(await theCollection(), id, { name, rules }, seen);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The goal was not changed.', outcome.problems);
};
