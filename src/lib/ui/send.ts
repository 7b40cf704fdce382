import type { Outcome, Problem } from '$lib/core/problem';
import { bad, good } from '$lib/core/problem';
import { WINDOW_NAME } from '$lib/schemas/window-name';
import { link } from './offline/link.svelte';
import { windowId } from './window-id';

/** Changes reach the server in the order in which they were made, so that undo takes back the last. */
let last: Promise<unknown> = Promise.resolve();

/** A place among the changes: it is here when those before are answered, and those after wait for its end. */
export function takeTurn(): { readonly isHere: Promise<unknown>; readonly end: () => void } {
	const isHere = last;
	let end = () => {};
	last = new Promise<void>((resolve) => (end = resolve));
	return { isHere, end: () => end() };
}

/** Makes a change when those before it are answered. */
export async function inTurn<Value>(change: () => Promise<Value>): Promise<Value> {
	const turn = takeTurn();
	await turn.isHere;
	try {
		return await change();
	} finally {
		turn.end();
	}
}

/**
 * Asks the server to change something; problems come back as the server names them. A body that hangs on
 * what was answered before is a function: it is called when its turn comes.
 */
export const send = <Value>(
	method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
	path: string,
	body?: unknown
): Promise<Outcome<Value>> =>
	inTurn(() =>
		ask<Value>(method, path, typeof body === 'function' ? (body as () => unknown)() : body)
	);

/** Sends a file in its turn, as `send` sends a body. */
export const sendFile = <Value>(path: string, file: File): Promise<Outcome<Value>> =>
	inTurn(() =>
		request<Value>(path, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: file
		})
	);

/** A change that is on its way when the page is left goes on; of all that is under way browsers allow that to 64 KiB. */
export const isSmall = (body: string): boolean => body.length < 16_000;

/** Asks without waiting for changes under way: for what changes nothing. */
export const ask = <Value>(
	method: string,
	path: string,
	body?: unknown
): Promise<Outcome<Value>> => {
	const text = JSON.stringify(body ?? {});
	const sent = {
		headers: { 'content-type': 'application/json' },
		body: text,
		keepalive: isSmall(text)
	};
	return request<Value>(path, { method, ...(method === 'GET' ? {} : sent) });
};

async function request<Value>(path: string, init: RequestInit): Promise<Outcome<Value>> {
	const outcome = await reach<Value>(path, init);
	if (outcome) return outcome;
	return bad([
		{ message: 'the server does not answer', remedy: 'Nothing was changed; try again.' }
	]);
}

/** What the server answers; null where it cannot be reached. */
export async function reach<Value>(
	path: string,
	init: RequestInit
): Promise<Outcome<Value> | null> {
	try {
		const headers = new Headers(init.headers);
		headers.set(WINDOW_NAME, windowId());
		const response = await fetch(path, { ...init, headers });
		const answer: unknown = await response.json();
		link.tellUp();
		if (response.ok) return good(answer as Value);
		const { detail, errors } = answer as { detail?: string; errors?: Problem[] };
		return bad(errors?.length ? errors : [{ message: detail ?? 'the server refused it' }]);
	} catch {
		link.tellDown();
		return null;
	}
}
