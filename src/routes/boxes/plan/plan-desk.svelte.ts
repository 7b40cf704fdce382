import type { StorageView } from '$lib/server/storage/plan/storage-view';
import { followWork } from '$lib/ui/follow-work.svelte';

/** A plan on its way from the server: how far it is, and what it is in the end. It can be cancelled. */
export function createPlanDesk() {
	const work = followWork<{ readonly done: number; readonly total: number }, StorageView>({
		path: '/api/boxes/plan',
		stopped: 'The plan was cancelled: what is shown is the one before.'
	});
	return {
		/** Null: nothing is under way. */
		get progress() {
			return work.isRunning ? (work.told ?? { done: 0, total: 0 }) : null;
		},
		get view() {
			return work.view;
		},
		get problem() {
			return work.problem;
		},
		run: work.run,
		cancel: work.cancel
	};
}
