import { describe, expect, test } from 'vitest';
import { keysOf } from './keys';
import { isCurrent, MENU } from './menu';
import { wordsOf } from './words';

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

describe('the words of a view', () => {
	test.each([
		['/', 'insert set'],
		['/releases/harbour-lights-1994', 'parallel'],
		['/goals/1', 'rainbow'],
		['/boxes/plan', 'stray'],
		['/packs', 'odds'],
		['/worth/populations', 'population'],
		['/worthless', 'release']
	])('%s explains %s', (path, word) => {
		const words = wordsOf(path).map((each) => each.word);
		expect(words).toContain(word);
		expect(new Set(words).size).toBe(words.length);
	});

	test('every part of the menu has its own', () => {
		for (const { path } of MENU) expect(wordsOf(path).length, path).toBeGreaterThan(5);
	});
});
