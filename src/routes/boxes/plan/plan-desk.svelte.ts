import type { Stood, StandTold } from '$lib/server/storage/plan/stand-as-planned';
import type { StorageView } from '$lib/server/storage/plan/storage-view';
import { followWork } from '$lib/ui/follow-work.svelte';

/** Standing all of a plan on its way: how far it is, and what stands in the end. It can be cancelled. */
export function createStandDesk(onStood: () => void) {
	const work = followWork<StandTold, Stood>({
		...{ path: '/api/boxes/stand', method: 'POST' },
		stopped: 'Cancelled: nothing was stood.',
		onView: onStood
	});
	return {
		/** Null: nothing is under way. */
		get progress(): StandTold | null {
			return work.isRunning ? (work.told ?? { of: 'releases', done: 0, total: 0 }) : null;
		},
		/** What the last standing did. */
		get stood() {
			return work.isRunning ? null : work.view;
		},
		get problem() {
			return work.problem;
		},
		run: work.run,
		cancel: work.cancel
	};
}

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
