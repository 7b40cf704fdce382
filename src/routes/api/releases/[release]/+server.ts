import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { changedSince } from '$lib/server/checklists/fingerprint';
import { replaceRelease } from '$lib/server/checklists/import-release';
import { readChecklistFile } from '$lib/server/workers/read-file';
import { loadRelease } from '$lib/server/releases/load-release';

/**
 * Replaces the checklist of a release by the one sent as the body, in any form; copies stay attached. `If-Match` with the ETag
 * of the checklist that was read guards it.
 */
export const PUT: RequestHandler = async ({ params, request }) => {
	const collection = await theCollection();
	const stored = await loadRelease(collection.db, params.release ?? '');
	if (!stored) return problemResponse(404, 'This release is not in the collection.');
	const seen = request.headers.get('if-match')?.replaceAll('"', '');
	if (changedSince(seen, stored.release).length > 0) {
		return problemResponse(412, 'The checklist was changed since you read it.');
	}
	const { key, name, maker, year } = stored.release;
	const bytes = new Uint8Array(await request.arrayBuffer());
	const { outcome: read, table } = await readChecklistFile(
		bytes,
		{ name, maker, year },
		request.signal
	);
	const outcome = read.ok
		? await replaceRelease(collection, key, read.value, table !== null, seen)
		: read;
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The checklist was not replaced.', outcome.problems);
};
