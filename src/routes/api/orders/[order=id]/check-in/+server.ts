import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { CheckInSchema, SettlementSchema } from '$lib/schemas/forms/buying';
import { checkInOrder, settleClaim } from '$lib/server/buying/orders/check-in-order';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Checks an order in: what came, in which condition, what is asked back. */
export const POST: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, CheckInSchema);
	if (!body.ok) return body.response;
	const id = rowId<'orders'>(Number(params.order));
	const outcome = await checkInOrder(await theCollection(), id, body.value.arrivals);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'Nothing was checked in.', outcome.problems);
};

/** Settles what was asked back for a line. */
export const PATCH: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, SettlementSchema);
	if (!body.ok) return body.response;
	const { line, refundMinor } = body.value;
	const id = rowId<'orders'>(Number(params.order));
	const outcome = await settleClaim(await theCollection(), id, line, refundMinor);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'Nothing was settled.', outcome.problems);
};
