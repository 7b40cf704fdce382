import { describe, expect, test } from 'vitest';
import { MENU } from './shell/menu';
import { wordsOf } from './words';

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
		const words = wordsOf(path).map(([each]) => each);
		expect(words).toContain(word);
		expect(new Set(words).size).toBe(words.length);
	});

	test('every part of the menu has its own', () => {
		for (const { path } of MENU) expect(wordsOf(path).length, path).toBeGreaterThan(5);
	});
});
