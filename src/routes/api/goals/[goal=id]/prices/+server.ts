import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { ForgetPriceSchema, PriceLineSchema } from '$lib/schemas/forms/buying';
import { forgetPrice, sayPrices } from '$lib/server/buying/prices/say-prices';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Applies a line of prices to the sheet of a goal: `5 24 nm; 7 4–4.50; all commons 30`. */
export const POST: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, PriceLineSchema);
	if (!body.ok) return body.response;
	const { source = '', ...said } = body.value;
	const outcome = await sayPrices(await theCollection(), rowId(Number(params.goal)), {
		...said,
		source
	});
	return outcome.ok
		? json({ ...outcome.value, notes: outcome.notes })
		: problemResponse(400, 'No price was kept.', outcome.problems);
};

/** Takes the price of a card, or a sum for several, away. */
export const DELETE: RequestHandler = async ({ request }) => {
	const body = await readBody(request, ForgetPriceSchema);
	if (!body.ok) return body.response;
	const outcome = await forgetPrice(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(404, 'There is no such price.', outcome.problems);
};
