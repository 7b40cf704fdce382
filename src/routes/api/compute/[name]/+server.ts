import type { RequestHandler } from '@sveltejs/kit';
import { COMPUTATIONS, howToAskForLess } from '$lib/server/compute/registry';
import { problemResponse } from '$lib/server/problem-document';
import { readJsonBytes } from '$lib/server/read-json';
import { runTask, TooMuch } from '$lib/server/workers/run-task';

/** Runs a computation in a worker: others are served meanwhile, and it ends when nobody waits for it. */
export const POST: RequestHandler = async ({ params, request }) => {
	const computation = COMPUTATIONS.find(({ name }) => name === params.name);
	if (!computation) {
		const names = COMPUTATIONS.map(({ name }) => name).join(', ');
		return problemResponse(404, `There is no computation of this name. There are: ${names}.`);
	}
	const body = await readJsonBytes(request);
	if (!body.ok) return body.response;
	try {
		const { name } = computation;
		const answer = await runTask('compute', { name, bytes: body.value }, request.signal);
		switch (answer.kind) {
			case 'done':
				return new Response(answer.json, { headers: { 'content-type': 'application/json' } });
			case 'unreadable':
				return problemResponse(400, `The body is no JSON in UTF-8: ${answer.reason}`);
			case 'invalid':
				return problemResponse(400, 'The body cannot be used.', answer.problems);
		}
	} catch (error) {
		if (error instanceof TooMuch) return givenUp(error, howToAskForLess(computation));
		throw error;
	}
};

function givenUp({ why }: TooMuch, remedy: string): Response {
	switch (why) {
		case 'busy':
			return problemResponse(503, 'Too many computations wait already. Ask again in a moment.');
		case 'gone':
			return problemResponse(503, 'The other side is gone; nothing was computed.');
		case 'time':
			return problemResponse(503, `This takes longer than a computation may. ${remedy}`);
		case 'memory':
			return problemResponse(503, `This takes more memory than a computation may. ${remedy}`);
	}
}
