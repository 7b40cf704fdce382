import { json, type RequestHandler } from '@sveltejs/kit';
import { NewCopySchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { addCopy } from '$lib/server/copies/edit-copy';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Records a copy with all that is known of it. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, NewCopySchema);
	if (!body.ok) return body.response;
	const { version, fields } = body.value;
	const outcome = await addCopy(await theCollection(), version, fields);
	return outcome.ok
		? json({ ...outcome.value, notes: outcome.notes }, { status: 201 })
		: problemResponse(400, 'The copy was not recorded.', outcome.problems);
};
