import type { Outcome, Problem } from '$lib/core/problem';
import { bad, good } from '$lib/core/problem';

/** Changes reach the server in the order in which they were made, so that undo takes back the last. */
let last: Promise<unknown> = Promise.resolve();

/**
 * Asks the server to change something; problems come back as the server names them. A body that hangs on
 * what was answered before is a function: it is called when its turn comes.
 */
export function send<Value>(
	method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
	path: string,
	body?: unknown
): Promise<Outcome<Value>> {
	const answer = last.then(() =>
		ask<Value>(method, path, typeof body === 'function' ? (body as () => unknown)() : body)
	);
	last = answer;
	return answer;
}

/** Asks without waiting for changes under way: for what changes nothing. */
export async function ask<Value>(
	method: string,
	path: string,
	body?: unknown
): Promise<Outcome<Value>> {
	try {
		const sent = {
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body ?? {})
		};
		const response = await fetch(path, { method, ...(method === 'GET' ? {} : sent) });
		const answer: unknown = await response.json();
		if (response.ok) return good(answer as Value);
		const { detail, errors } = answer as { detail?: string; errors?: Problem[] };
		return bad(errors?.length ? errors : [{ message: detail ?? 'the server refused it' }]);
	} catch {
		return bad([
			{ message: 'the server does not answer', remedy: 'Nothing was changed; try again.' }
		]);
	}
}
