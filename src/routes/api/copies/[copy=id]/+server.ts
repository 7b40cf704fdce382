import { json, type RequestHandler } from '@sveltejs/kit';
import { CopyEditSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { editCopy, removeCopy } from '$lib/server/copies/edit-copy';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { rowId } from '$lib/core/row-id';

/** Changes what is known of a copy. */
export const PUT: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, CopyEditSchema);
	if (!body.ok) return body.response;
	const { version, fields } = body.value;
	const outcome = await editCopy(
		await theCollection(),
		rowId(Number(params.copy)),
		fields,
		version
	);
	return outcome.ok
		? json({ ...outcome.value, notes: outcome.notes })
		: problemResponse(400, 'The copy was not changed.', outcome.problems);
};

export const DELETE: RequestHandler = async ({ params }) => {
	const outcome = await removeCopy(await theCollection(), rowId(Number(params.copy)));
	return outcome.ok
		? json(outcome.value)
		: problemResponse(404, 'There is no such copy.', outcome.problems);
};
