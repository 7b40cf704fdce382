import { json, type RequestHandler } from '@sveltejs/kit';
import { GoalRequestSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { countSlots } from '$lib/server/goals/count-slots';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** How many slots a goal would have, before it is made. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, GoalRequestSchema);
	if (!body.ok) return body.response;
	const counted = await countSlots(
		(await theCollection()).db,
		body.value.release,
		body.value.rules
	);
	if (!counted) return problemResponse(404, 'This release is not in the collection.');
	return counted.ok
		? json(counted.value)
		: problemResponse(400, 'Such a goal cannot be set.', counted.problems);
};
