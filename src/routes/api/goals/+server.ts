import { json, type RequestHandler } from '@sveltejs/kit';
import { GoalRequestSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { makeGoal } from '$lib/server/goals/make-goal';
import { listGoals } from '$lib/server/goals/read-goals';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

export const GET: RequestHandler = async () => json(await listGoals((await theCollection()).db));

/** Makes a goal. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, GoalRequestSchema);
	if (!body.ok) return body.response;
	const outcome = await makeGoal(await theCollection(), { name: '', ...body.value });
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The goal was not made.', outcome.problems);
};
