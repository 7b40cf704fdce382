import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { importCardList } from '$lib/server/checklists/import-card-list';
import { problemResponse } from '$lib/server/problem-document';
import { readCardListFile } from '$lib/server/workers/read-file';

/**
 * Adds a list of cards of any releases, sent as the body in any form of a checklist. What rows leave out
 * of their release is taken from the query: name, maker, year.
 */
export const POST: RequestHandler = async ({ request, url }) => {
	const bytes = new Uint8Array(await request.arrayBuffer());
	const given = (name: string) => url.searchParams.get(name) ?? '';
	const choice = { name: given('name'), maker: given('maker'), year: given('year') };
	const { outcome: read } = await readCardListFile(bytes, choice, request.signal);
	const outcome = read.ok ? await importCardList(await theCollection(), read.value) : read;
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The list was not added.', outcome.problems);
};
