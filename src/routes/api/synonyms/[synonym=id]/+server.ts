import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { removeSynonym } from '$lib/server/copies/synonyms';
import { problemResponse } from '$lib/server/problem-document';
import { rowId } from '$lib/core/row-id';

export const DELETE: RequestHandler = async ({ params }) =>
	(await removeSynonym(await theCollection(), rowId(Number(params.synonym))))
		? json({})
		: problemResponse(404, 'There is no such word.');
