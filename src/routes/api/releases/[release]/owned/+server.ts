import { json, type RequestHandler } from '@sveltejs/kit';
import { OwnedSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { logOwned } from '$lib/server/copies/log';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Sets how many copies there are of some versions, all of them or none. */
export const PUT: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, OwnedSchema);
	if (!body.ok) return body.response;
	const { changes, condition } = body.value;
	const outcome = await logOwned(await theCollection(), params.release ?? '', changes, condition);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'Nothing was changed.', outcome.problems);
};
