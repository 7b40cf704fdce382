import { json, type RequestHandler } from '@sveltejs/kit';
import { PractiseSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { practisePair } from '$lib/server/telling/trainer';

/** An answer of the trainer; the reply says when the pair is asked again. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, PractiseSchema);
	if (!body.ok) return body.response;
	const { first, second, isRight } = body.value;
	const outcome = await practisePair(await theCollection(), [first, second], isRight);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The answer was not kept.', outcome.problems);
};
