import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { removeSynonym } from '$lib/server/copies/synonyms';
import { problemResponse } from '$lib/server/problem-document';

export const DELETE: RequestHandler = async ({ params }) =>
	(await removeSynonym(await theCollection(), Number(params.synonym)))
		? json({})
		: problemResponse(404, 'There is no such word.');
