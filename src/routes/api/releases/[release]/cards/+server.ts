import { json, type RequestHandler } from '@sveltejs/kit';
import { editCards } from '$lib/core/checklist/edit-cards';
import { CardEditsSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { saveRelease } from '$lib/server/checklists/save-release';

/** Changes, removes and adds cards of a checklist, all of them or none. */
export const PUT: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, CardEditsSchema);
	if (!body.ok) return body.response;
	const edits = body.value;
	const count = edits.change.length + edits.remove.length + edits.add.length;
	const outcome = await saveRelease(
		await theCollection(),
		params.release ?? '',
		`edit ${count} ${count === 1 ? 'card' : 'cards'}`,
		(release) => editCards(release, edits)
	);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(400, 'The checklist was not changed.', outcome.problems);
};
