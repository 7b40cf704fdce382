import { json, type RequestHandler } from '@sveltejs/kit';
import { EntrySchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { logLine } from '$lib/server/copies/log';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Applies an entry line, whole or not at all. */
export const POST: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, EntrySchema);
	if (!body.ok) return body.response;
	const outcome = await logLine(await theCollection(), params.release ?? '', body.value);
	return outcome.ok
		? json({ ...outcome.value, notes: outcome.notes })
		: problemResponse(400, 'The line was not applied.', outcome.problems);
};
