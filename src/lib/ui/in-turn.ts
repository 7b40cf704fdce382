/**
 * Lets what keys ask for happen one after the other: each waits until the one before is done, so that no
 * key is lost or answers twice, however fast they come.
 */
export function createTurns(): (turn: () => Promise<unknown>) => Promise<unknown> {
	let last: Promise<unknown> = Promise.resolve();
	return (turn) => {
		last = last.then(turn, turn);
		return last;
	};
}

/** Clicks a button of an enhanced form, and waits until its answer is shown (`answered` is called then). */
export function createFormKeys() {
	const inTurn = createTurns();
	let done = () => {};
	return {
		answered: () => done(),
		/** The button is looked for when its turn has come: the step before may have put another there. */
		click(button: () => HTMLElement | null | undefined) {
			void inTurn(
				() =>
					new Promise<void>((resolve) => {
						const found = button();
						if (!found) {
							resolve();
							return;
						}
						done = resolve;
						found.click();
					})
			);
		}
	};
}
