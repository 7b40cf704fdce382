import { json, type RequestHandler } from '@sveltejs/kit';
import { PickUpSchema } from '$lib/schemas/forms/buying';
import { recordPickUp } from '$lib/server/buying/orders/record-pick-up';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Records cards that were taken along on the spot, for one sum. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, PickUpSchema);
	if (!body.ok) return body.response;
	const { release, line, ...draft } = body.value;
	const cards = { release, line };
	const outcome = await recordPickUp(await theCollection(), { ...draft, cards });
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'Nothing was recorded.', outcome.problems);
};
