import type { SortingWay } from '$lib/core/storage/sorting/plan-sorting';

export const WAY_NAMES: Readonly<Record<SortingWay, string>> = {
	passes: 'Deal in passes',
	'deal and insert': 'Deal once, then insert in each pile',
	merge: 'Merge runs two by two',
	'insert, halving': 'Insert one by one, halving',
	'insert, from the start': 'Insert one by one, from the start'
};

/** What is done in a step that deals no piles. */
export const HAND_WORK: Readonly<Record<SortingWay, string>> = {
	passes: 'There is nothing to sort.',
	'deal and insert':
		'Take pile after pile: insert each card where it belongs, looking in the middle first.',
	merge: 'Make runs that rise, then merge two at a time until one is left.',
	'insert, halving': 'Insert each card where it belongs, looking in the middle first.',
	'insert, from the start': 'Insert each card where it belongs, looking from the front.'
};

export const minutes = (seconds: number): string =>
	seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;
