import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { PhotoChangeSchema } from '$lib/schemas/requests';
import { readBody } from '$lib/server/read-json';
import { removePhoto, turnPhoto } from '$lib/server/media/photos';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

/** Says which side of its card a photo shows: `{ "side": "back" }`. */
export const PATCH: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, PhotoChangeSchema);
	if (!body.ok) return body.response;
	return (await turnPhoto(await theCollection(), rowId(Number(params.photo)), body.value.side))
		? json({})
		: problemResponse(404, 'There is no such photo.');
};

export const DELETE: RequestHandler = async ({ params }) =>
	(await removePhoto(await theCollection(), rowId(Number(params.photo))))
		? json({})
		: problemResponse(404, 'There is no such photo.');
