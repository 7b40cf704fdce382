import { describe, expect, test } from 'vitest';
import { findOnPile } from './find-on-pile.ts';
import { indexPile } from './pile-index.ts';
import { rival, year } from './pile.fixture.ts';

const index = indexPile([year('1994'), year('1995'), rival]);
const meant = (line: string, narrowing = {}) =>
	findOnPile(index, line, narrowing).map(({ version, condition, serial }) =>
		[version.key, condition, serial].filter(Boolean).join(' ')
	);

describe('what a line may mean', () => {
	test.each<[string, readonly string[]]>([
		['1', ['l-1994/base-1', 'l-1994/dogs-1', 'l-1995/base-1', 'l-1995/dogs-1', 'moths/base-1']],
		['01', ['l-1994/base-1', 'l-1994/dogs-1', 'l-1995/base-1', 'l-1995/dogs-1', 'moths/base-1']],
		['1 rival', ['moths/base-1']],
		['1 1995', ['l-1995/base-1', 'l-1995/dogs-1']],
		['dogs 1 1995', ['l-1995/dogs-1']],
		['1 lamp 1994', ['l-1994/base-1']],
		['silv', ['moths/base-1']],
		['"ada hale" 94', []],
		['hale home 1994', ['l-1994/keepers-ada-hale-at-home']],
		['fog 1995', ['l-1995/keepers-fog']],
		['27 1994 brass vg', ['l-1994/base-27~brass very good']],
		['1 brass 14/50 1995', ['l-1995/base-1~brass 14/50']],
		['2 at night 1994', ['l-1994/base-2!at-night']],
		['brass', ['l-1994/base-27', 'l-1995/base-27']],
		['storm 27 1995', ['l-1995/base-2']],
		['dogs 1 brass', []],
		['99', []],
		['', []],
		[' , ; ', []],
		['1 nobody', []]
	])('%s', (line, expected) => {
		expect(meant(line)).toEqual(expected);
	});

	test('a year, a maker, some releases, a finish: what is known of the whole pile narrows', () => {
		expect(meant('1', { year: '1995' })).toEqual(['l-1995/base-1', 'l-1995/dogs-1']);
		expect(meant('1', { maker: 'rival' })).toEqual(['moths/base-1']);
		expect(meant('1', { releases: ['moths'] })).toEqual(['moths/base-1']);
		expect(meant('1 1994', { finish: 'Brass' })).toEqual([
			'l-1994/base-1~brass',
			'l-1994/dogs-1',
			'moths/base-1'
		]);
		expect(meant('1', { year: '', maker: '', releases: [] })).toHaveLength(5);
	});

	test("words of one's own stand for others, the longest first, and only once", () => {
		const synonyms = new Map([
			['b', 'brass'],
			['b-b', 'vg'],
			['brass', 'slate'],
			['ladies', '"ada hale"']
		]);
		const read = (line: string) =>
			findOnPile(index, line, { year: '1994' }, synonyms).map(({ version, condition }) =>
				[version.key, condition].filter(Boolean).join(' ')
			);
		expect(read('27 b b b')).toEqual(['l-1994/base-27~brass very good']);
		expect(read('ladies 1')).toEqual(['l-1994/base-1']);
		expect(read('27 b')).toEqual(['l-1994/base-27~brass']);
	});
});
