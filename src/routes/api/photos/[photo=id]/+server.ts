import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { removePhoto } from '$lib/server/media/photos';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

export const DELETE: RequestHandler = async ({ params }) =>
	(await removePhoto(await theCollection(), rowId(Number(params.photo))))
		? json({})
		: problemResponse(404, 'There is no such photo.');
