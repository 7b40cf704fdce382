import { describe, expect, test } from 'vitest';
import type { WallTile } from '$lib/core/goal/wall';
import { createWallHand } from './wall-hand.svelte';

/** Ten tiles in rows of four, of which some are had; what the hand does is written down. */
function hand(have: readonly number[] = []) {
	const tiles = Array.from({ length: 10 }, (_, i): WallTile => ({
		cardKey: `c${i}`,
		number: String(i),
		title: '',
		subset: null,
		version: `v${i}`,
		owned: have.includes(i) ? 1 : 0,
		isNeeded: true,
		state: have.includes(i) ? 'have' : 'missing',
		ladder: []
	}));
	const done: string[] = [];
	const names = (chosen: readonly WallTile[]) => chosen.map(({ number }) => number).join('');
	const made = createWallHand({
		tiles: () => tiles,
		fill: (chosen, fill) => done.push(`${fill ? 'fill' : 'empty'} ${names(chosen)}`),
		step: (chosen, step) => done.push(`${step > 0 ? 'more' : 'less'} ${names(chosen)}`),
		moved: (index) => done.push(`at ${index}`)
	});
	const below = (from: number, rows: 1 | -1) => Math.max(0, Math.min(9, from + 4 * rows));
	const key = (name: string, shiftKey = false) =>
		made.key({ key: name, shiftKey } as KeyboardEvent, below);
	return { made, done, key };
}

describe('the mouse', () => {
	test.each<[string, number[], (made: ReturnType<typeof createWallHand>) => void, string[]]>([
		[
			'a click turns one tile over',
			[],
			(made) => {
				made.press(3, false);
				made.release();
			},
			['fill 3']
		],
		[
			'a click on one that is had empties it',
			[3],
			(made) => {
				made.press(3, false);
				made.release();
			},
			['empty 3']
		],
		[
			'a drag makes all like the first becomes, backwards too',
			[5],
			(made) => {
				made.press(6, false);
				made.over(5);
				made.over(4);
				made.release();
			},
			['fill 456']
		],
		[
			'a shift-click makes the run like its first tile is',
			[2],
			(made) => {
				made.press(2, false);
				made.cancel();
				made.press(5, true);
				made.release();
			},
			['fill 2345']
		],
		[
			'a drag that is cancelled does nothing',
			[],
			(made) => {
				made.press(1, false);
				made.over(4);
				made.cancel();
				made.release();
			},
			[]
		],
		[
			'moving without pressing does nothing',
			[],
			(made) => {
				made.over(4);
				made.release();
			},
			[]
		]
	])('%s', (_, have, act, wanted) => {
		const { made, done } = hand(have);
		act(made);
		expect(done).toEqual(wanted);
	});

	test('tiles under a drag are chosen, and no more after it', () => {
		const { made } = hand();
		made.press(2, false);
		made.over(4);
		expect([1, 2, 3, 4, 5].map((i) => made.isChosen(i))).toEqual([false, true, true, true, false]);
		made.release();
		expect(made.isChosen(3)).toBe(false);
	});
});

describe('the keys', () => {
	test.each<[string, [string, boolean?][], string[]]>([
		[
			'arrows move, and stop at the ends',
			[['ArrowLeft'], ['ArrowRight'], ['ArrowDown']],
			['at 0', 'at 1', 'at 5']
		],
		['End and Home', [['End'], ['ArrowRight'], ['Home']], ['at 9', 'at 9', 'at 0']],
		['Space turns the tile in focus over', [['ArrowRight'], [' ']], ['at 1', 'fill 1']],
		[
			'Shift chooses a run',
			[['ArrowRight', true], ['ArrowRight', true], ['Enter']],
			['at 1', 'at 2', 'fill 012']
		],
		[
			'up from below, with Shift',
			[['ArrowDown'], ['ArrowUp', true], [' ']],
			['at 4', 'at 0', 'fill 01234']
		],
		[
			'plus and minus count the run',
			[['ArrowRight', true], ['+'], ['-'], ['−']],
			['at 1', 'more 01', 'less 01', 'less 01']
		],
		['Escape lets go of the run', [['ArrowRight', true], ['Escape'], [' ']], ['at 1', 'fill 1']]
	])('%s', (_, keys, wanted) => {
		const { done, key } = hand();
		for (const [name, shift] of keys) expect(key(name, shift)).toBe(true);
		expect(done).toEqual(wanted);
	});

	test('other keys are left to the page; focus that comes by Tab is kept', () => {
		const { made, done, key } = hand();
		expect(key('a')).toBe(false);
		made.focusOn(7);
		key(' ');
		expect(done).toEqual(['fill 7']);
		expect(made.focus).toBe(7);
	});
});
