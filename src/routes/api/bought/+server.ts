import { json, type RequestHandler } from '@sveltejs/kit';
import { BoughtSchema } from '$lib/schemas/forms/buying';
import { recordPickUp } from '$lib/server/buying/orders/record-pick-up';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Records a card of the wants that was bought on the spot. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, BoughtSchema);
	if (!body.ok) return body.response;
	const { version, ...draft } = body.value;
	const outcome = await recordPickUp(await theCollection(), {
		...{ ...draft, cards: { version } },
		...{ by: 'share', note: '' }
	});
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'Nothing was recorded.', outcome.problems);
};
