import { describe, expect, test } from 'vitest';
import { copies, release } from './small-release.fixture.ts';
import { fillSlots } from './fill-slots.ts';
import { formatMissingText, missingList } from './missing-list.ts';
import { nearestToDone } from './nearest-to-done.ts';
import { percentDone, progressOf, totalProgress } from './progress.ts';
import { scopeGoal } from './scope-goal.ts';

describe('progress and the missing list', () => {
	const slots = scopeGoal(release, { preset: 'with-inserts' });
	const filling = fillSlots(
		slots,
		copies(['base-1', 'base-2', 'base-4', 'base-12', 'log-bread', 'base-1~brass'])
	);

	test('by section', () => {
		const rows = progressOf(slots, filling);
		expect(rows).toEqual([
			{ releaseKey: 'r-1994', sectionKey: 'base', parallelKey: null, have: 3, need: 17 },
			{ releaseKey: 'r-1994', sectionKey: 'sub', parallelKey: null, have: 1, need: 3 },
			{ releaseKey: 'r-1994', sectionKey: 'log', parallelKey: null, have: 1, need: 2 }
		]);
		expect(totalProgress(rows)).toEqual({ have: 5, need: 22 });
		expect(nearestToDone(rows)).toMatchObject({ sectionKey: 'log' });
	});

	test('as text', () => {
		const groups = missingList(release, slots, filling);
		expect(formatMissingText('Wanted', groups)).toBe(
			[
				'Wanted',
				'Base (3 of 17): 3, 5–10, 14–20',
				'Sub (1 of 3): 11, 13',
				'Log (1 of 2): "Fog, again"'
			].join('\n')
		);
		expect(formatMissingText('Wanted', [])).toBe('Wanted\nNothing is missing.');
	});

	test.each([
		[0, 0, 100],
		[0, 3, 0],
		[1, 3, 33],
		[239, 240, 99],
		[240, 240, 100]
	])('%i of %i is %i %%', (have, need, percent) => {
		expect(percentDone({ have, need })).toBe(percent);
	});

	test.each([
		['nothing begun', [{ have: 0, need: 3 }], null],
		['all complete', [{ have: 3, need: 3 }], null],
		[
			'fewest left, the larger of equals',
			[
				{ have: 1, need: 3 },
				{ have: 7, need: 9 },
				{ have: 1, need: 9 }
			],
			9
		]
	])('nearest to done: %s', (_, rows, need) => {
		expect(nearestToDone(rows)?.need ?? null).toBe(need);
	});
});
