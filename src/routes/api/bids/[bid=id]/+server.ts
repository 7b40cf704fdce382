import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { BidEndSchema } from '$lib/schemas/forms/buying';
import { endBid } from '$lib/server/buying/orders/bids';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Says how a bid ended. */
export const PATCH: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, BidEndSchema);
	if (!body.ok) return body.response;
	const outcome = await endBid(
		await theCollection(),
		rowId(Number(params.bid)),
		body.value.wonMinor
	);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The bid is as it was.', outcome.problems);
};
