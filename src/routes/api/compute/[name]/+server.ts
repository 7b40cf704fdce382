import { json, type RequestHandler } from '@sveltejs/kit';
import { compute, COMPUTATIONS } from '$lib/server/compute/registry';
import { problemResponse } from '$lib/server/problem-document';
import { readJson } from '$lib/server/read-json';

export const POST: RequestHandler = async ({ params, request }) => {
	const name = params.name ?? '';
	if (!COMPUTATIONS.some((known) => known.name === name)) {
		const names = COMPUTATIONS.map((known) => known.name).join(', ');
		return problemResponse(404, `There is no computation of this name. There are: ${names}.`);
	}
	const body = await readJson(request);
	if (!body.ok) return body.response;
	const answer = compute(name, body.value);
	return answer.kind === 'done'
		? json(answer.value)
		: problemResponse(
				400,
				'The body cannot be used.',
				answer.kind === 'invalid' ? answer.problems : []
			);
};
