import type { NextSteps } from '$lib/server/journal/undo';
import { ask } from '../send';

/**
 * What undo and redo would do in this window. The server knows a window only by its requests, so that a page comes
 * with what anybody did last, and the window asks for its own.
 *
 * @param journal changes whenever something was done
 */
export function createNextSteps(journal: () => string) {
	let mine = $state.raw<NextSteps | null>(null);
	let asked = 0;
	let answered = 0;
	$effect(() => {
		journal();
		const turn = ++asked;
		void ask<NextSteps>('GET', '/api/journal/next').then((answer) => {
			// While things are done fast every answer is overtaken: each that is newer than the last is shown.
			if (!answer.ok || turn < answered) return;
			answered = turn;
			mine = answer.value;
		});
	});
	return {
		/** null: not known yet. */
		get mine() {
			return mine;
		}
	};
}
