import { json, type RequestHandler } from '@sveltejs/kit';
import { OrderSchema } from '$lib/schemas/forms/buying';
import { placeOrder } from '$lib/server/buying/orders/place-order';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Orders offers and bundles of a seller: their cards are on their way. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, OrderSchema);
	if (!body.ok) return body.response;
	const outcome = await placeOrder(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'Nothing was ordered.', outcome.problems);
};
