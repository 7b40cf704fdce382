import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { removePhoto } from '$lib/server/media/photos';
import { problemResponse } from '$lib/server/problem-document';

export const DELETE: RequestHandler = async ({ params }) =>
	(await removePhoto(await theCollection(), Number(params.photo)))
		? json({})
		: problemResponse(404, 'There is no such photo.');
