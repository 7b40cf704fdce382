import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { OfferLineSchema, RemoveOfferSchema } from '$lib/schemas/forms/buying';
import { removeOffer, sayOffers } from '$lib/server/buying/offers/say-offers';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Keeps what a seller offers, as it is typed: `5x3 0.40 nm; all commons 9 (shipped)`. */
export const POST: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, OfferLineSchema);
	if (!body.ok) return body.response;
	const seller = rowId<'sellers'>(Number(params.seller));
	const outcome = await sayOffers(await theCollection(), seller, body.value);
	return outcome.ok
		? json({ ...outcome.value, notes: outcome.notes })
		: problemResponse(400, 'No offer was kept.', outcome.problems);
};

/** Takes an offer, or a bundle, away. */
export const DELETE: RequestHandler = async ({ request }) => {
	const body = await readBody(request, RemoveOfferSchema);
	if (!body.ok) return body.response;
	const outcome = await removeOffer(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(404, 'There is no such offer.', outcome.problems);
};
