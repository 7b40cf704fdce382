import { describe, expect, test } from 'vitest';
import type { SlipState } from './slip-line.ts';
import { nameGap, walkSlip } from './slip-walk.ts';

const line = (key: string, state: SlipState, place: string | null = 'box') => ({
	key,
	state,
	place
});

describe('a slip', () => {
	test('is walked in its order, what was skipped last; what has no place waits apart', () => {
		const walk = walkSlip([
			line('a', 'done'),
			line('b', 'skipped'),
			line('c', 'open'),
			line('d', 'open', null),
			line('e', 'not there'),
			line('f', 'open'),
			line('g', 'skipped', null)
		]);
		expect(walk.todo.map(({ key }) => key)).toEqual(['c', 'f', 'b']);
		expect(walk.placeless.map(({ key }) => key)).toEqual(['d', 'g']);
		expect(walk).toMatchObject({ done: 1, skipped: 1, notThere: 1 });
		expect(walkSlip([])).toEqual({ todo: [], placeless: [], done: 0, skipped: 0, notThere: 0 });
	});

	test.each([
		['112', '118', 'after 112, before 118'],
		[null, '118', 'before 118'],
		['112', null, 'after 112'],
		[null, null, 'the first behind its divider']
	])('between %s and %s: %s', (after, before, words) => {
		expect(nameGap({ after, before })).toBe(words);
	});
});
