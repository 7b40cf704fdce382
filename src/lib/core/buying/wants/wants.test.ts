import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { parseSearchTemplate, SEARCH_WORDS, searchText, USUAL_SEARCH } from './search-text.ts';
import { wantsList, type ChosenGoal, type LackingSlot } from './wants-list.ts';

const chosen: readonly ChosenGoal[] = [
	{ key: '1', priority: 2, mostMinor: 600 },
	{ key: '2', priority: 1, mostMinor: null },
	{ key: '3', priority: 3, mostMinor: 400 }
];
const slot = (version: string, goals: readonly string[], more: object = {}): LackingSlot => ({
	...{ versions: [version], quantity: 1, goals },
	...more
});

describe('wantsList', () => {
	test('the same card of several sets and goals is one want; favourites, then what is urgent', () => {
		const wants = wantsList(
			[
				slot('a', ['3']),
				slot('b', ['1']),
				slot('b', ['1'], { leastCondition: 'mint' }),
				slot('b', ['3']),
				slot('c', ['1', '2']),
				slot('d', ['3'])
			],
			chosen,
			new Map([['d', { isFavourite: true, mostMinor: 50 }]])
		);
		expect(
			wants.map(({ versions, quantity, priority, mostMinor, leastCondition, goals }) =>
				[versions[0], quantity, priority, mostMinor, leastCondition, goals.join('+')].join(' ')
			)
		).toEqual(['d 1 3 50  3', 'c 1 1   1+2', 'b 2 2 600  1+3', 'b 1 2 600 mint 1', 'a 1 3 400  3']);
		expect(() => wantsList([slot('a', ['9'])], chosen, new Map())).toThrow(RangeError);
		expect(wantsList([], chosen, new Map())).toEqual([]);
	});

	test('for all slots, no card is lost or made', () => {
		const drawn = fc.record({
			version: fc.constantFrom('a', 'b', 'c'),
			goals: fc.subarray(['1', '2', '3'], { minLength: 1 }),
			quantity: fc.integer({ min: 1, max: 4 }),
			leastCondition: fc.constantFrom(undefined, 'good', 'mint')
		});
		fc.assert(
			fc.property(fc.array(drawn, { maxLength: 12 }), (some) => {
				const slots = some.map(({ version, goals, quantity, leastCondition }) =>
					slot(version, goals, { quantity, ...(leastCondition ? { leastCondition } : {}) })
				);
				const wants = wantsList(slots, chosen, new Map());
				const count = (of: readonly { quantity: number }[]) =>
					of.reduce((sum, { quantity }) => sum + quantity, 0);
				expect(count(wants)).toBe(count(slots));
				expect(new Set(wants.map(({ key }) => key)).size).toBe(wants.length);
			})
		);
	});
});

describe('the text to search for a card with', () => {
	const parts = {
		...{ year: '1994', maker: 'Gullhaven Card Works', set: 'Harbour Lights', section: '' },
		...{
			finish: 'Brass',
			number: '41',
			title: 'Agnes Merrow',
			subject: 'Agnes Merrow',
			variant: ''
		}
	};
	const text = (template: string) => {
		const read = parseSearchTemplate(template);
		return read.ok ? searchText(read.value, parts) : read.problems.map(({ message }) => message);
	};
	test.each<[string, string | readonly string[]]>([
		[USUAL_SEARCH, '1994 Gullhaven Card Works Harbour Lights Brass 41 Agnes Merrow'],
		['{number} {title} {variant}{section}', '41 Agnes Merrow'],
		['#{ Number }', '#41'],
		['{title} {title}', 'Agnes Merrow Agnes Merrow'],
		['{finish} Brass', 'Brass'],
		['{colour} {x', ['"{colour}" is none of its words', 'a "{" stands alone']],
		['plain', ['the template names nothing of a card']]
	])('%s', (template, expected) => {
		expect(text(template)).toEqual(expected);
	});

	test('for all templates of known words, no gap and no word of its own is left over', () => {
		const piece = fc.constantFrom(...SEARCH_WORDS.map((word) => `{${word}}`), ' ', '-');
		fc.assert(
			fc.property(fc.array(piece, { minLength: 1 }), (pieces) => {
				const read = parseSearchTemplate(pieces.join(''));
				if (read.ok) expect(searchText(read.value, parts)).not.toMatch(/\s\s|^\s|\s$|[{}]/);
				else expect(pieces.some((each) => each.startsWith('{'))).toBe(false);
			})
		);
	});
});
