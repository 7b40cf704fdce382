import { deserialize, enhance as enhanceForm } from '$app/forms';
import type { ActionResult, SubmitFunction } from '@sveltejs/kit';
import { inTurn, takeTurn } from './send';
import { WINDOW_NAME } from '$lib/schemas/window-name';
import { windowId } from './window-id';
import { tellTrouble } from './trouble.svelte';

/**
 * Sends a form without leaving the page, as SvelteKit's action of this name does, but in its turn: a form
 * waits until the changes before it are answered, and those after it wait for its answer.
 */
export function enhance(form: HTMLFormElement, submit?: SubmitFunction) {
	return enhanceForm(form, async (input) => {
		input.formData.set(WINDOW_NAME, windowId());
		const turn = takeTurn();
		// A form that is broken off is answered by nobody.
		input.controller.signal.addEventListener('abort', turn.end);
		const state = { isCancelled: false };
		const cancel = () => {
			state.isCancelled = true;
			input.cancel();
		};
		try {
			const answered = await submit?.({ ...input, cancel });
			await turn.isHere;
			if (state.isCancelled) {
				turn.end();
				return;
			}
			return async (sent) => {
				turn.end();
				let { update } = sent;
				if (sent.result.type === 'error') {
					tellTrouble(sent.result.error);
					// What was typed stays: the page is not replaced by one that says what went wrong.
					update = () => Promise.resolve();
				}
				await (answered ? answered({ ...sent, update }) : update());
			};
		} catch (error) {
			turn.end();
			throw error;
		}
	});
}

/** Calls a page's form action without a form, in its turn; fields are name → text. */
export const act = (
	action: `?/${string}`,
	fields: Readonly<Record<string, string>>
): Promise<ActionResult> =>
	inTurn(async () => {
		const body = new FormData();
		for (const [name, text] of Object.entries(fields)) body.set(name, text);
		try {
			const headers = { 'x-sveltekit-action': 'true', [WINDOW_NAME]: windowId() };
			const answer = await fetch(action, { method: 'POST', body, headers });
			return deserialize(await answer.text());
		} catch (error) {
			return { type: 'error', error };
		}
	});
