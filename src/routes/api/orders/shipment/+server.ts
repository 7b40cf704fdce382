import { json, type RequestHandler } from '@sveltejs/kit';
import { ShipmentSchema } from '$lib/schemas/forms/buying';
import { askForShipment } from '$lib/server/buying/orders/move-order';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Asks the hub to forward orders that lie there. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, ShipmentSchema);
	if (!body.ok) return body.response;
	const outcome = await askForShipment(await theCollection(), body.value.orders);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'No shipment was asked for.', outcome.problems);
};
