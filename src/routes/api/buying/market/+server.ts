import { json, type RequestHandler } from '@sveltejs/kit';
import { MarketSchema } from '$lib/schemas/forms/buying';
import { askMarket, leaveMarket, waitAtMarket } from '$lib/server/buying/market/ask-market';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Asks the practice market what it offers, lets days pass there, or leaves it. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, MarketSchema);
	if (!body.ok) return body.response;
	const collection = await theCollection();
	const asked = body.value;
	const outcome =
		'ask' in asked
			? await askMarket(collection)
			: 'wait' in asked
				? await waitAtMarket(collection, asked.wait)
				: await leaveMarket(collection);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The market is as it was.', outcome.problems);
};
