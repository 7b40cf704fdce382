import { describe, expect, test } from 'vitest';
import { finishesContext } from './entry-context.fixture.ts';
import type { EntryContext } from './entry-context.ts';
import { readShorthand } from './read-shorthand.ts';

/** "base-72~verdigris, near mint, 14/65 ×1" for every addition. */
const additions = (line: string, rest: Partial<EntryContext> = {}) =>
	readShorthand(line, finishesContext(rest)).additions.map(
		({ version, quantity, condition, serial, place }) =>
			[version.replace('r-1994/', ''), condition, serial, place, quantity > 1 ? `×${quantity}` : '']
				.filter(Boolean)
				.join(', ')
	);

describe('what a line says of its cards', () => {
	test.each<[string, string[]]>([
		['72 verdigris 14/65 nm', ['base-72~verdigris, near mint, 14/65']],
		['1 2 first beam 3 vg', ['base-1~first-beam', 'base-2~first-beam', 'base-3, very good']],
		['brass 1-3', ['base-1~brass', 'base-2~brass', 'base-3~brass']],
		['brass 1 nm 2 vg', ['base-1~brass, near mint', 'base-2~brass, very good']],
		['F* brass', ['fresnel-f1~brass', 'fresnel-f2~brass', 'fresnel-f3~brass']],
		["2 keeper's ink", ['keepers-ink-2']],
		["keeper's ink * ", ['1', '2', '3', '4', '5'].map((n) => `keepers-ink-${n}`)],
		['27 home town x2', ['base-27!home-town, ×2']],
		['27 error', ['base-27!home-town']],
		['28 short print', ['base-28']],
		['5 @tray 6 @"Long box 4"', ['base-5, tray', 'base-6, Long box 4']],
		['7 M', ['base-7, mint']],
		['all but 3-80 nm', ['base-1, near mint', 'base-2, near mint']],
		['all but 4-80 brass', ['base-1~brass', 'base-2~brass', 'base-3~brass']]
	])('%s', (line, wanted) => {
		expect(readShorthand(line, finishesContext()).problems).toEqual([]);
		expect(additions(line)).toEqual(wanted);
	});

	test('the finish and condition chosen beside the line count where it names none', () => {
		const chosen = { parallelKey: 'brass', condition: 'good' as const };
		expect(additions('1 2 verdigris mint 3', chosen)).toEqual([
			'base-1~verdigris, mint',
			'base-2~verdigris, mint',
			'base-3~brass, good'
		]);
	});

	test('own words stand for any others, but not for themselves', () => {
		const synonyms = new Map([
			['v', 'verdigris nm'],
			['ink', "keeper's ink"],
			['nm', 'mint nm']
		]);
		expect(additions('7 v', { synonyms })).toEqual(['base-7~verdigris, near mint']);
		expect(additions('3 ink', { synonyms })).toEqual(['keepers-ink-3']);
		// "nm" means "mint nm" here, which says the condition twice.
		const { problems } = readShorthand('3 nm', finishesContext({ synonyms }));
		expect(problems).toMatchObject([{ start: 2, end: 4, message: /said twice/ }]);
	});

	test.each<[string, number, number, RegExp]>([
		['72 verdigirs', 3, 12, /Did you mean Verdigris/],
		['72 zzz', 3, 6, /neither a number nor a word/],
		['72 verdigris 66/65', 13, 18, /no copy 66 of 65/],
		['72 verdigris 1/10', 13, 17, /print run of 65, not 10/],
		['71-72 verdigris 1/65', 16, 20, /belongs to one card/],
		['F1 verdigris', 0, 2, /Verdigris was not made of F1/],
		['30 home town', 3, 12, /30 has no home town/],
		['3 nm vg', 5, 7, /said twice/],
		['*', 0, 1, /a whole section/],
		['Z*', 0, 2, /no section has the prefix Z/],
		['5 @', 2, 3, /no card number|no name/],
		['5 x0', 0, 4, /quantity goes from 1/]
	])('%s', (line, start, end, text) => {
		const { problems, additions: none } = readShorthand(
			line,
			finishesContext({ numberingKey: line === '*' ? null : 'base' })
		);
		const told = problems.map(({ message, remedy }) => `${message}. ${remedy ?? ''}`).join();
		expect(problems[0]).toMatchObject({ start, end });
		expect(told).toMatch(text);
		expect(none).toEqual([]);
	});
});
