import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { redo, undo } from '$lib/server/journal/undo';
import { problemResponse } from '$lib/server/problem-document';

export const POST: RequestHandler = async ({ params }) => {
	const collection = await theCollection();
	const step = await (params.step === 'undo' ? undo(collection) : redo(collection));
	return step ? json(step) : problemResponse(409, `There is nothing to ${params.step ?? 'undo'}.`);
};
