/**
 * Makes a function that loads parts of what is shown again, and resolves when they were read after the call.
 * A load that begins while another is under way would break that one off, and whoever waits for it would go
 * on with old figures: so at most one is under way, and what is asked for meanwhile is read together
 * afterwards.
 */
export function oneLoadAtATime<Part>(
	load: (parts: ReadonlySet<Part>) => Promise<unknown>
): (...parts: readonly Part[]) => Promise<void> {
	let running: Promise<void> = Promise.resolve();
	let waiting: { readonly parts: Set<Part>; readonly done: Promise<void> } | null = null;

	return (...parts) => {
		if (waiting) {
			for (const part of parts) waiting.parts.add(part);
			return waiting.done;
		}
		const asked = new Set(parts);
		const done = running.then(async () => {
			waiting = null;
			await load(asked);
		});
		waiting = { parts: asked, done };
		running = done.catch(() => {});
		return done;
	};
}
