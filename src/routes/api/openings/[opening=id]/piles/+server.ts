import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { OpenedPileSchema } from '$lib/schemas/forms/packs';
import { theCollection } from '$lib/server/collection';
import { logOpened } from '$lib/server/packs/openings/log-opened';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Records what some packs of an opening held, and logs their cards, whole or not at all. */
export const POST: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, OpenedPileSchema);
	if (!body.ok) return body.response;
	const id = rowId<'openings'>(Number(params.opening));
	const outcome = await logOpened(await theCollection(), id, body.value);
	return outcome.ok
		? json({ ...outcome.value, notes: outcome.notes })
		: problemResponse(400, 'Nothing was recorded.', outcome.problems);
};
