import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { redo, undo } from '$lib/server/journal/undo';
import { moveInWindow } from '$lib/server/journal/undo-in-window';
import { theWindow } from '$lib/server/journal/window';
import { problemResponse } from '$lib/server/problem-document';

/** Takes back, or makes again, what the window that asks did last; of a program that names none: what anybody did last. */
export const POST: RequestHandler = async ({ params }) => {
	const collection = await theCollection();
	const direction = params.step === 'redo' ? 'redo' : 'undo';
	const window = theWindow();
	if (window !== null) {
		const moved = await moveInWindow(collection, direction, window);
		return moved.ok
			? json(moved.value)
			: problemResponse(409, 'Nothing was changed.', moved.problems);
	}
	const step = await (direction === 'undo' ? undo(collection) : redo(collection));
	return step ? json(step) : problemResponse(409, `There is nothing to ${params.step ?? 'undo'}.`);
};
