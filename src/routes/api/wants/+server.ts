import { json, type RequestHandler } from '@sveltejs/kit';
import { WantMarkSchema } from '$lib/schemas/forms/buying';
import { markWant } from '$lib/server/buying/wants/mark-want';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Says something of a wanted card itself: favourite, priority, the most one would pay, the least condition. */
export const PUT: RequestHandler = async ({ request }) => {
	const body = await readBody(request, WantMarkSchema);
	if (!body.ok) return body.response;
	const { version, isFavourite, priority, mostMinor, leastCondition, currency } = body.value;
	const outcome = await markWant(await theCollection(), version, {
		...{ isFavourite, currency },
		...(priority === null ? {} : { priority }),
		...(mostMinor === null ? {} : { mostMinor }),
		...(leastCondition === null ? {} : { leastCondition })
	});
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'Nothing was changed.', outcome.problems);
};
