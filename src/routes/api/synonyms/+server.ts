import { json, type RequestHandler } from '@sveltejs/kit';
import { SynonymSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { listSynonyms, setSynonym } from '$lib/server/copies/synonyms';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

export const GET: RequestHandler = async () => json(await listSynonyms((await theCollection()).db));

/** Defines a word of the entry line. */
export const PUT: RequestHandler = async ({ request }) => {
	const body = await readBody(request, SynonymSchema);
	if (!body.ok) return body.response;
	const outcome = await setSynonym(await theCollection(), body.value.word, body.value.means);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The word was not defined.', outcome.problems);
};
