import { linesOf } from '$lib/ui/lines-of';
import type { StorageView } from '$lib/server/storage/plan/storage-view';

/** A plan on its way from the server: how far it is, and what it is in the end. It can be cancelled. */
export function createPlanDesk() {
	let progress = $state.raw<{ readonly done: number; readonly total: number } | null>(null);
	let view = $state.raw<StorageView | null>(null);
	let problem = $state('');
	let control: AbortController | null = null;

	async function run(query: string) {
		control?.abort();
		const running = new AbortController();
		control = running;
		progress = { done: 0, total: 0 };
		problem = '';
		try {
			const response = await fetch(`/api/boxes/plan?${query}`, { signal: running.signal });
			for await (const line of linesOf(response)) {
				const told = JSON.parse(line) as {
					readonly view?: StorageView;
					readonly problem?: string;
					readonly done: number;
					readonly total: number;
				};
				if (told.problem !== undefined) problem = told.problem;
				else if (told.view) view = told.view;
				else progress = told;
			}
		} catch {
			if (control !== running) return;
			problem = running.signal.aborted
				? 'The plan was cancelled: what is shown is the one before.'
				: 'The server does not answer; nothing was changed.';
		}
		if (control === running) progress = null;
	}

	return {
		get progress() {
			return progress;
		},
		get view() {
			return view;
		},
		get problem() {
			return problem;
		},
		run,
		cancel: () => control?.abort()
	};
}
