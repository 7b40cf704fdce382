import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { removeReferencePicture } from '$lib/server/telling/reference-pictures';

export const DELETE: RequestHandler = async ({ params }) =>
	(await removeReferencePicture(await theCollection(), rowId(Number(params.picture))))
		? json({})
		: problemResponse(404, 'There is no such picture.');
