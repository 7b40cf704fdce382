import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { importRelease } from '$lib/server/checklists/import-release';
import { listReleases } from '$lib/server/releases/list-releases';
import { readChecklistFile } from '$lib/server/workers/read-file';

export const GET: RequestHandler = async () => json(await listReleases((await theCollection()).db));

/** Imports a checklist, JSON or CSV, sent as the body. A CSV may take name, maker and year from the query. */
export const POST: RequestHandler = async ({ request, url }) => {
	const bytes = new Uint8Array(await request.arrayBuffer());
	const given = (name: string) => url.searchParams.get(name) ?? '';
	const choice = { name: given('name'), maker: given('maker'), year: given('year') };
	const { outcome: read } = await readChecklistFile(bytes, choice, request.signal);
	const outcome = read.ok ? await importRelease(await theCollection(), read.value) : read;
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The checklist was not imported.', outcome.problems);
};
