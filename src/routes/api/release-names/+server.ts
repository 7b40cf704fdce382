import { theCollection } from '$lib/server/collection';
import { listReleaseNames } from '$lib/server/releases/list-releases';
import { json, type RequestHandler } from '@sveltejs/kit';

/** What a choice of releases shows: key and name of each, by year and name. */
export const GET: RequestHandler = async () =>
	json(await listReleaseNames((await theCollection()).db));
