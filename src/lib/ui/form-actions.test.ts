import type { SubmitFunction } from '@sveltejs/kit';
import { afterEach, expect, test, vi } from 'vitest';
import { enhance } from './form-actions';
import { send } from './send';
import { trouble } from './trouble.svelte';

let submit: SubmitFunction;
vi.mock('$app/forms', () => ({
	enhance: (_: unknown, given: SubmitFunction) => {
		submit = given;
		return { destroy: () => undefined };
	},
	deserialize: JSON.parse
}));
afterEach(() => void vi.unstubAllGlobals());

/** Submits a form as SvelteKit does, up to where it would be sent. */
async function submitted(cancel = false) {
	const controller = new AbortController();
	enhance({} as HTMLFormElement, ({ cancel: stop }) => {
		if (cancel) stop();
	});
	const answered = await submit({
		controller,
		cancel: () => undefined,
		formData: new FormData()
	} as never);
	const answer = (result: object = { type: 'success' }, update = () => Promise.resolve()) =>
		answered?.({ result, update } as never);
	return { controller, answer };
}

test.each<[string, () => Promise<unknown>]>([
	['a form that is answered', async () => (await submitted()).answer()],
	[
		'a form that is broken off',
		async () => {
			(await submitted()).controller.abort();
		}
	],
	['a form that is cancelled before it is sent', () => submitted(true)]
])('%s lets the next change go on', async (_, form) => {
	vi.stubGlobal('fetch', () => Promise.resolve(Response.json(7)));
	await form();
	expect(await send('POST', 'next')).toMatchObject({ ok: true, value: 7 });
});

test('what comes after a form waits for its answer', async () => {
	const asked: string[] = [];
	vi.stubGlobal('fetch', (path: string) => {
		asked.push(path);
		return Promise.resolve(Response.json(7));
	});
	const form = await submitted();
	const next = send('POST', 'next');
	await new Promise((resolve) => setTimeout(resolve));
	expect(asked).toEqual([]);
	await form.answer();
	await next;
	expect(asked).toEqual(['next']);
});

test.each<[string, unknown, RegExp]>([
	['a full disk', { message: 'The disk takes nothing more' }, /^The disk takes nothing more$/],
	['no answer', new TypeError('Failed to fetch'), /server does not answer/],
	['nothing that is understood', undefined, /server does not answer/]
])('%s is told, and the page stays as it is', async (_, error, told) => {
	trouble.close();
	const update = vi.fn(() => Promise.resolve());
	await (await submitted()).answer({ type: 'error', error }, update);
	expect(trouble.text).toMatch(told);
	expect(update).not.toHaveBeenCalled();
});
