import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { listSynonyms } from '$lib/server/copies/synonyms';
import { problemResponse } from '$lib/server/problem-document';
import { loadRelease } from '$lib/server/releases/load-release';
import { usualRelease } from '$lib/server/releases/usual-release';

/** What the entry line of any view needs: a checklist, what is owned of it, and words. `-` is the usual release. */
export const GET: RequestHandler = async ({ params }) => {
	const { db } = await theCollection();
	const key = params.release === '-' ? await usualRelease(db) : (params.release ?? '');
	const stored = key === null ? null : await loadRelease(db, key);
	if (!stored) return problemResponse(404, 'This release is not in the collection.');
	return json({
		release: stored.release,
		owned: [...countOwned(await readCopies(db, stored.id))],
		synonyms: (await listSynonyms(db)).map(({ word, means }) => [word, means])
	});
};
