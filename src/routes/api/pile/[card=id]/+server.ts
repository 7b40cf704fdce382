import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { CardFieldsSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { describePileCard } from '$lib/server/pile/describe-pile-card';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Says more of a card on the pile: its condition, its serial number, what it is worth. */
export const PATCH: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, CardFieldsSchema);
	if (!body.ok) return body.response;
	const id = rowId<'pile_cards'>(Number(params.card));
	const outcome = await describePileCard(await theCollection(), id, body.value);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The card was not described.', outcome.problems);
};
