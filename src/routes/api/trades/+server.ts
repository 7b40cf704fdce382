import { json, type RequestHandler } from '@sveltejs/kit';
import { TradeSchema } from '$lib/schemas/forms/buying';
import { recordTrade } from '$lib/server/buying/trades/record-trade';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Records a trade: what is given is gone, what is taken is here. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, TradeSchema);
	if (!body.ok) return body.response;
	const outcome = await recordTrade(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'Nothing changed hands.', outcome.problems);
};
