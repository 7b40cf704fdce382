import { json, type RequestHandler } from '@sveltejs/kit';
import { BidSchema } from '$lib/schemas/forms/buying';
import { placeBid } from '$lib/server/buying/orders/bids';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Records a bid that stands. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, BidSchema);
	if (!body.ok) return body.response;
	const outcome = await placeBid(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'No bid was recorded.', outcome.problems);
};
