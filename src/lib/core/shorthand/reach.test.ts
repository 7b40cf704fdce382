import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { contextOf } from './entry-context.fixture.ts';
import type { EntryContext } from './entry-context.ts';
import { readShorthand } from './read-shorthand.ts';

const numbers = (...all: (number | string)[]) => all.map((number) => ({ number: String(number) }));
const upTo = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** A base that begins at 101 behind a subset, suffixes, letters as numbers, a finish of base alone. */
const context = (rest: Partial<EntryContext> = {}) =>
	contextOf(
		{
			release: { name: 'R', maker: 'M', year: '1994' },
			sections: [
				{ name: 'Base', cards: numbers(...upTo(101, 140), '112a', '112b', '112c', '112d', '140a') },
				{ name: 'Dogs', kind: 'subset', numberedIn: 'base', cards: numbers(...upTo(1, 8)) },
				{ name: 'Twins', kind: 'insert', cards: numbers(...upTo(1, 8)) },
				{ name: 'Lenses', kind: 'insert', cards: numbers(...'ABCDEFGHI'.split('')) }
			],
			parallels: [
				{ name: 'Slate', runs: [{ sections: ['base', 'dogs'] }] },
				{ name: 'Gold Stamp', runs: [{ sections: ['base'] }] }
			]
		},
		rest
	);

const read = (line: string, rest: Partial<EntryContext> = {}) => readShorthand(line, context(rest));
const added = (line: string) =>
	read(line).additions.map(({ version, condition, quantity }) =>
		[version.replace('r-1994/', ''), condition, quantity > 1 ? `×${quantity}` : '']
			.filter(Boolean)
			.join(' ')
	);

describe('how far a word reaches', () => {
	test.each<[string, string[]]>([
		['101, 102 slate', ['base-101', 'base-102~slate']],
		['101; 102 slate', ['base-101', 'base-102~slate']],
		['101 102 slate', ['base-101~slate', 'base-102~slate']],
		['101 102 slate, 103', ['base-101~slate', 'base-102~slate', 'base-103']],
		['slate 101, 102', ['base-101~slate', 'base-102~slate']],
		[
			'101, slate 102 103 nm, 104',
			['base-101', 'base-102~slate near mint', 'base-103~slate near mint', 'base-104']
		],
		['101, 102 nm x2', ['base-101', 'base-102 near mint ×2']],
		['101,,102,', ['base-101', 'base-102']]
	])('%s', (line, wanted) => {
		expect(read(line).problems).toEqual([]);
		expect(added(line)).toEqual(wanted);
	});

	test('what it reaches is told, and the narrow reading where only that is possible', () => {
		expect(read('101 102 103 nm').reaches).toEqual([
			{
				words: [{ start: 12, end: 14 }],
				items: [
					{ start: 0, end: 3 },
					{ start: 4, end: 7 },
					{ start: 8, end: 11 }
				],
				cards: 3
			}
		]);
		// Letters were not made in Slate, 101 was.
		const { problems, narrow } = read('A-C 101 slate');
		expect(problems).toHaveLength(1);
		expect(narrow).toBe('A-C, 101 slate');
		expect(read(narrow ?? '').problems).toEqual([]);
		expect(read('101 A slate').narrow).toBeUndefined();
	});
});

describe('nothing but what was named', () => {
	test.each<[string, string[]]>([
		['112b-112c', ['base-112b', 'base-112c']],
		['112-112b', ['base-112', 'base-112a', 'base-112b']],
		['139-140', ['base-139', 'base-140']],
		['A-C', ['lenses-a', 'lenses-b', 'lenses-c']],
		['C-D', ['lenses-c', 'lenses-d']],
		['b', ['lenses-b']],
		['base 101', ['base-101']],
		['dogs 1', ['base-1']],
		['1 twins', ['twins-1']],
		['7 8 dogs', ['base-7', 'base-8']],
		['dogs *', upTo(1, 8).map((n) => `base-${n}`)]
	])('%s', (line, wanted) => {
		expect(read(line).problems).toEqual([]);
		expect(added(line)).toEqual(wanted);
	});

	test.each<[string, RegExp]>([
		['base 1', /Base has no 1/],
		['twins 101', /Twins has no 101/],
		['dogs 101-103', /Dogs has none of 101 to 103/],
		['nm', /said of no card/],
		['x3', /said of no card/],
		['slate nm', /said of no card/],
		['101, nm', /said of no card/],
		['@tray', /said of no card/],
		['112c-112b', /backwards/],
		['all but 101x2', /left out/],
		['all 5/50', /belongs to one card/],
		['all 101', /among all already/],
		['all slate 101-103 nm', /among all already/],
		['all but', /nothing is named/],
		['all but;', /nothing is named/],
		['all but slate nm', /nothing is named/],
		['all but twenty', /neither a number nor a word/],
		['all twins slate', /none of these cards/],
		['alley 101', /neither a number nor a word/]
	])('%s: %s', (line, message) => {
		const { problems, additions } = read(line);
		expect(problems.map((problem) => problem.message).join('; ')).toMatch(message);
		expect(additions).toEqual([]);
	});

	test('what a run takes along, or leaves out, is told', () => {
		expect(read('111-113').notes).toMatchObject([
			{ message: '112a, 112b, 112c and 1 more among them' }
		]);
		expect(read('dogs 1-8').notes).toEqual([]);
		expect(added('all gold stamp')).toHaveLength(45);
		expect(added('all gold stamp').every((card) => card.endsWith('~gold-stamp'))).toBe(true);
		expect(added('all but 101-139 112b-112d nm')).toEqual([
			...upTo(1, 8).map((n) => `base-${n} near mint`),
			'base-140 near mint',
			'base-140a near mint'
		]);
		expect(added('all dogs but')).toEqual([]);
		expect(added('all dogs x2')).toEqual(upTo(1, 8).map((n) => `base-${n} ×2`));
	});
});

describe('for all lines, every word is accounted for', () => {
	/** A word of a line with what an honest reader takes it for. */
	const word = fc.oneof(
		{
			weight: 5,
			arbitrary: fc
				.integer({ min: 101, max: 140 })
				.map((n) => ({ text: String(n), card: `base-${n}` }))
		},
		{ weight: 1, arbitrary: fc.constant({ text: 'slate', finish: 'slate' }) },
		{ weight: 1, arbitrary: fc.constant({ text: 'nm', condition: 'near mint' }) },
		{ weight: 1, arbitrary: fc.constant({ text: ',' }) },
		{ weight: 1, arbitrary: fc.constant({ text: 'x2', times: 2 }) }
	) as fc.Arbitrary<{
		text: string;
		card?: string;
		finish?: string;
		condition?: string;
		times?: number;
	}>;

	/** The rule worked out card by card: each looks for the words behind it, and those before all. */
	function byHand(
		words: readonly {
			text: string;
			card?: string;
			finish?: string;
			condition?: string;
			times?: number;
		}[]
	) {
		const isWord = (at: number) =>
			words[at] !== undefined && words[at].card === undefined && words[at].text !== ',';
		const isBreak = (at: number) => words[at] === undefined || words[at].text === ',';
		return words.flatMap(({ card }, at) => {
			if (card === undefined) return [];
			const said: number[] = [];
			// Behind: over cards, up to the first stretch of words; a comma ends it.
			let behind = at + 1;
			while (!isBreak(behind) && !isWord(behind)) behind++;
			for (; isWord(behind); behind++) said.push(behind);
			// At the beginning of its part, and of the line.
			let begin = at;
			while (!isBreak(begin - 1)) begin--;
			for (const from of new Set([begin, 0])) {
				for (let i = from; isWord(i); i++) if (!said.includes(i)) said.push(i);
			}
			const of = (name: 'finish' | 'condition' | 'times') =>
				said.flatMap((i) => (words[i]?.[name] === undefined ? [] : [words[i]?.[name]]));
			return [{ card, finish: of('finish'), condition: of('condition'), times: of('times') }];
		});
	}

	test('in what the copies are, or as a problem', () => {
		fc.assert(
			fc.property(fc.array(word, { minLength: 1, maxLength: 9 }), (drawn) => {
				// Commas only between words, once; "101 x2" is written as a count of the card itself.
				const words: (typeof drawn)[number][] = [];
				for (const each of drawn) {
					const before = words.at(-1);
					const isDouble = each.text === ',' && (before === undefined || before.text === ',');
					if (!isDouble && !(each.times !== undefined && before?.card !== undefined))
						words.push(each);
				}
				while (words.at(-1)?.text === ',' || words[0]?.text === ',') {
					if (words.at(-1)?.text === ',') words.pop();
					if (words[0]?.text === ',') words.shift();
				}
				const line = words.map(({ text }) => text).join(' ');
				const { problems, additions } = read(line);
				const cards = byHand(words);
				if (problems.length > 0) {
					expect(additions).toEqual([]);
					return;
				}
				expect(
					additions.map(({ version, condition, quantity }) => ({ version, condition, quantity }))
				).toEqual(
					cards.map(({ card, finish, condition, times }) => ({
						version: `r-1994/${card}${finish[0] ? '~slate' : ''}`,
						condition: condition[0],
						quantity: times[0] ?? 1
					}))
				);
				if (words.some(({ finish }) => finish))
					expect(cards.some(({ finish }) => finish.length)).toBe(true);
				if (words.some(({ condition }) => condition))
					expect(cards.some(({ condition }) => condition.length)).toBe(true);
			}),
			{ numRuns: 500 }
		);
	});

	test('a trap of repeated runs is refused, not worked out', () => {
		const line = '101-140 '.repeat(2500).slice(0, 19_990).trim();
		expect(read(line).problems).toMatchObject([{ message: /100000|100,000|more than/ }]);
	});
});
