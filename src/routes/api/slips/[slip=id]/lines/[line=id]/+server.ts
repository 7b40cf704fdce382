import { json, type RequestHandler } from '@sveltejs/kit';
import { rowId } from '$lib/core/row-id';
import { SlipAnswerSchema } from '$lib/schemas/forms/boxes';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';
import { answerLine } from '$lib/server/storage/slips/change-slips';

/** Answers a line of a slip: done, skipped, or not there; refused where its card goes elsewhere by now. */
export const POST: RequestHandler = async ({ params, request }) => {
	const body = await readBody(request, SlipAnswerSchema);
	if (!body.ok) return body.response;
	const { state, divider = null } = body.value;
	const done = await answerLine(
		await theCollection(),
		rowId(Number(params.slip)),
		rowId(Number(params.line)),
		state,
		divider
	);
	return done.ok ? json(done.value) : problemResponse(409, 'Nothing was recorded.', done.problems);
};
