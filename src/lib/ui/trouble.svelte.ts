/** Why the server did not do what a form asked; it stands until it is closed, or another view opens. */
const state = $state({ text: '' });

export const trouble = {
	get text() {
		return state.text;
	},
	close() {
		state.text = '';
	}
};

const UNREACHED = 'The server does not answer. What you typed is still here: try again.';

/** Says why a form was not taken: what was typed is still there. */
export function tellTrouble(error: unknown, whenUnreached = UNREACHED): void {
	const { message } = (error ?? {}) as { readonly message?: unknown };
	// A fetch that fails says so in the words of each browser.
	const isUnreached = error instanceof TypeError || typeof message !== 'string';
	state.text = isUnreached ? whenUnreached : message;
}
