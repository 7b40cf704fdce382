import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { OrderChangeSchema } from '$lib/schemas/forms/buying';
import { cancelOrder, changeOrder } from '$lib/server/buying/orders/move-order';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Says where an order is, what sending it costs, when it is expected. */
export const PATCH: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, OrderChangeSchema);
	if (!body.ok) return body.response;
	const id = rowId<'orders'>(Number(params.order));
	const outcome = await changeOrder(await theCollection(), id, body.value);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The order is as it was.', outcome.problems);
};

/** Takes an order back that is not here. */
export const DELETE: RequestHandler = async ({ params }) => {
	const outcome = await cancelOrder(await theCollection(), rowId(Number(params.order)));
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The order is as it was.', outcome.problems);
};
