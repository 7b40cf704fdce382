import { expect, test } from 'vitest';
import { readOutline } from '../outline/read-outline.ts';
import { tellingsOf } from './telling.ts';

test('a numbering is told with its subsets, each finish by what sets it apart', () => {
	const { release, problems } = readOutline(
		[
			'release Lamps, M, 1994',
			'pack Hobby: 10 cards',
			'base Base: 1-20, hobby 9:1',
			'note: printed twice',
			'tell: a rope border',
			'subset Dogs in Base: 5-6',
			'note: drawn from life',
			'insert Ink: K1-K2',
			'parallel Red: Base /50, Ink',
			'tell: red back',
			...[1, 2, 3, 4, 7, 8].map((n) => `${n}: odd ${n}`),
			'key 1-2 in Base'
		].join('\n')
	);
	expect(problems).toEqual([]);
	expect(tellingsOf(release)).toEqual([
		{
			section: 'base',
			parallel: null,
			lines: [
				'printed twice',
				'a rope border',
				'Hobby 9:1',
				'Key cards: 1, 2',
				'1: odd 1; 2: odd 2; 3: odd 3; 4: odd 4; and 2 more',
				'Dogs, 5, 6: drawn from life'
			]
		},
		{ section: 'base', parallel: 'red', lines: ['red back', '/50'] },
		{ section: 'ink', parallel: null, lines: [] },
		{ section: 'ink', parallel: 'red', lines: ['red back'] }
	]);
});
