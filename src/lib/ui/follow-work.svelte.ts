import { WINDOW_NAME } from '$lib/schemas/window-name';
import { linesOf } from './lines-of';
import { windowId } from './window-id';

interface FollowedWork<Told, View> {
	/** Where it is asked for. */
	readonly path: string;
	/** `POST`: it changes something; left out: it only reads. */
	readonly method?: 'POST';
	/** What is said when it was stopped. */
	readonly stopped: string;
	/** Called for each word of how far it is. */
	readonly onTold?: (told: Told) => void;
	/** Called for what it is in the end. */
	readonly onView?: (view: View) => void;
}

/**
 * Long work on its way from the server, which answers in lines of JSON: how far it is, then `{ view }`, or
 * `{ problem }`. What was there before stays until the new one has come. It can be cancelled.
 */
export function followWork<Told, View>({
	path,
	method,
	stopped,
	onTold,
	onView
}: FollowedWork<Told, View>) {
	let told = $state.raw<Told | null>(null);
	let view = $state.raw<View | null>(null);
	let problem = $state('');
	let isRunning = $state(false);
	let control: AbortController | null = null;

	async function run(query: string) {
		control?.abort();
		const running = new AbortController();
		control = running;
		[isRunning, problem, told] = [true, '', null];
		try {
			const response = await fetch(query === '' ? path : `${path}?${query}`, {
				signal: running.signal,
				...(method === undefined ? {} : { method, headers: { [WINDOW_NAME]: windowId() } })
			});
			if (!response.ok) throw new Error(String(response.status));
			for await (const line of linesOf(response)) {
				const said = JSON.parse(line) as Told & {
					readonly view?: View;
					readonly problem?: string;
				};
				if (said.problem !== undefined) problem = said.problem;
				else if (said.view) {
					view = said.view;
					onView?.(said.view);
				} else {
					told = said;
					onTold?.(said);
				}
			}
		} catch {
			if (control !== running) return;
			problem = running.signal.aborted
				? stopped
				: 'The server does not answer; nothing was changed.';
		}
		if (control === running) isRunning = false;
	}

	return {
		get told() {
			return told;
		},
		get view() {
			return view;
		},
		get problem() {
			return problem;
		},
		get isRunning() {
			return isRunning;
		},
		run,
		cancel: () => control?.abort()
	};
}
