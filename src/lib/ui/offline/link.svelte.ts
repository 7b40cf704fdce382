/** How often the server is asked whether it is there again, and how long it may take to answer. */
const AGAIN_MS = 4000;
const PATIENCE_MS = 6000;

/** Whether the server is reached: what is told by whoever asks it for something. */
function createLink() {
	let isDown = $state(false);
	let timer: ReturnType<typeof setInterval> | undefined;
	const listeners = new Set<() => void>();

	function tellUp() {
		if (!isDown) return;
		isDown = false;
		clearInterval(timer);
		for (const listener of listeners) listener();
	}
	function tellDown() {
		if (isDown || typeof window === 'undefined') return;
		isDown = true;
		timer = setInterval(() => void probe(), AGAIN_MS);
	}
	/** Asks for something small that no browser keeps. */
	async function probe() {
		try {
			await fetch('/api/journal/next', {
				cache: 'no-store',
				signal: AbortSignal.timeout(PATIENCE_MS)
			});
			tellUp();
		} catch {
			tellDown();
		}
	}
	return {
		get isDown() {
			return isDown;
		},
		tellUp,
		tellDown,
		probe,
		/** Called whenever the server is reached again; gives what stops it. */
		onUp(listener: () => void): () => void {
			listeners.add(listener);
			return () => listeners.delete(listener);
		}
	};
}

export const link = createLink();
