import { json, type RequestHandler } from '@sveltejs/kit';
import { moveJournal } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';

/** Takes back, or makes again, what the window that asks did last; of a program that names none: what anybody did last. */
export const POST: RequestHandler = async ({ params }) => {
	const moved = await moveJournal({ move: params.step === 'redo' ? 'redo' : 'undo' });
	return moved.ok
		? json(moved.value)
		: problemResponse(409, 'Nothing was changed.', moved.problems);
};
