import { describe, expect, test } from 'vitest';
import { keysOf } from './keys';
import { isCurrent, MENU } from './menu';

describe('the keys of a view', () => {
	const does = (path: string) => keysOf(path).map(({ keys }) => keys);

	test.each([
		['/log', 'Enter'],
		['/log/pile', 'Backspace'],
		['/goals/3', 'Space'],
		['/releases/harbour-lights-1994', 'Space'],
		['/releases/harbour-lights-1994/edit', 'Ctrl S'],
		['/releases/harbour-lights-1994/cards/base-1', 'x'],
		['/binders/1', '← →'],
		['/boxes/slips/1', 'd'],
		['/bench', 'Shift + arrow'],
		['/boxes/questions', 'f  o  g']
	])('%s has %s', (path, key) => {
		expect(does(path)).toContain(key);
	});

	test('undo, search, the entry line and this list are told everywhere, once', () => {
		for (const path of [
			'/',
			'/goals',
			'/goals/3',
			'/log',
			'/releases/import',
			'/binders/1',
			'/journal'
		]) {
			const keys = does(path);
			for (const key of ['/', 's', 'Ctrl Z', 'Ctrl Shift Z', '?']) {
				expect(keys.filter((other) => other === key)).toHaveLength(1);
			}
		}
	});
});

test('the menu follows the work, and marks the view that is open', () => {
	expect(MENU.map(({ name }) => name)).toEqual([
		'Desk',
		'Releases',
		'Goals',
		'Log',
		'Tell apart',
		'Binders',
		'Boxes',
		'Buying',
		'Packs',
		'Worth',
		'Selling',
		'Bench'
	]);
	const current = (pathname: string) =>
		MENU.filter(({ path }) => isCurrent(path, pathname)).map(({ name }) => name);
	expect(current('/')).toEqual(['Desk']);
	expect(current('/goals/3')).toEqual(['Goals']);
	expect(current('/log/pile')).toEqual(['Log']);
	expect(current('/logbook')).toEqual([]);
});
