import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { addPhoto } from '$lib/server/media/photos';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

/** Adds a photo, sent as the body, to a copy. */
export const POST: RequestHandler = async ({ params, request }) => {
	const bytes = new Uint8Array(await request.arrayBuffer());
	const outcome = await addPhoto(await theCollection(), rowId(Number(params.copy)), bytes);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The photo was not taken in.', outcome.problems);
};
