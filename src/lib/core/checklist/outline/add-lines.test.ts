import { describe, expect, test } from 'vitest';
import { draftOfRelease } from '../draft/draft-of-release.ts';
import type { Release } from '../release.ts';
import { made, told } from './almanac.fixture.ts';
import { addVariantLine } from './add-variant-line.ts';
import { readOutline } from './read-outline.ts';
import { lookAgain, settleHunt } from './settle-hunt.ts';

describe('lines that add to a release', () => {
	const before = made(
		'pack Hobby: 10 cards\nbase B: 1-6\nsubset S in B: 5-6\ninsert I: F1-F2, hobby 1:6\nparallel Red: B\nkey 2 in B\n3: back'
	);

	test.each<[string, string, string[]]>([
		['a new section', 'insert X: 1-2', ['B: 1 2(key) 3 4', 'S: 5 6', 'I: F1 F2', 'X: 1 2']],
		[
			'cards of a section that is there, once',
			'insert I: F2-F4',
			['B: 1 2(key) 3 4', 'S: 5 6', 'I: F1 F2 F3 F4']
		],
		[
			'cards of a section by several lines',
			'insert I: F3\ninsert I: F4',
			['B: 1 2(key) 3 4', 'S: 5 6', 'I: F1 F2 F3 F4']
		],
		[
			'panels of a name that is there',
			'panels P of B: 1 with 2\npanels P of B: 3 with 4',
			['B: 1 2(key) 3 4', 'S: 5 6', 'I: F1 F2', 'P: 1 with 2 3 with 4']
		],
		[
			'a subset that takes cards over',
			'subset T in B: 2-3, 7',
			['B: 1 4', 'S: 5 6', 'I: F1 F2', 'T: 2(key) 3 7']
		],
		[
			'marks of what is there',
			'rookie F1\nkey 5 in S',
			['B: 1 2(key) 3 4', 'S: 5(key) 6', 'I: F1(rookie) F2']
		]
	])('%s', (_, lines, sections) => {
		const after = made(lines, before);
		expect(told(after)).toEqual(sections);
		const keys = (release: Release) =>
			new Map(
				release.sections.flatMap(({ cards }) => cards.map(({ key, number }) => [key, number]))
			);
		for (const [key, number] of keys(before)) expect(keys(after).get(key)).toBe(number);
	});

	test('finishes, variants and packs beside what is there', () => {
		const after = made(
			'parallel red: I /9\nparallel Blue: all\n3: back again\npack hobby: 36 packs',
			before
		);
		expect(
			after.parallels.map(({ name, runs }) => [name, runs.map(({ sections }) => sections)])
		).toEqual([
			['Red', [['b'], ['i']]],
			['Blue', [['b', 's', 'i']]]
		]);
		expect(after.variants.map(({ key }) => key)).toEqual(['back', 'back-again']);
		expect(after.packTypes).toEqual([
			{ key: 'hobby', name: 'Hobby', cardsPerPack: 10, packsPerBox: 36 }
		]);
	});

	test('no lines change nothing', () => {
		expect(draftOfRelease(made('# nothing', before))).toEqual(draftOfRelease(before));
	});

	test.each<[string, RegExp]>([
		['release Other, M, 1994', /these lines add to Almanac/],
		['insert B: 7', /B is there already, as base/],
		['subset T in B: 5', /5 is in S already/],
		['subset T in B: 1\nsubset U in B: 1', /1 is in T already|U and T both have 1/],
		['key 9', /no card 9/]
	])('%s is refused', (lines, message) => {
		const { problems } = readOutline(lines, before);
		expect(problems.map((problem) => problem.message).join('\n')).toMatch(message);
	});
});

describe('a hunt', () => {
	const hunted: Release = {
		...made('insert Ink: K1-K2'),
		hunts: [
			{ key: 'k3', name: 'K3, never seen', section: 'ink' },
			{ key: 'back', name: 'a red back' }
		]
	};

	test('that is found makes the card, and leaves the list', () => {
		const outcome = settleHunt(hunted, 'k3', 'insert Ink: K3');
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		expect(told(outcome.value)).toEqual(['Ink: K1 K2 K3']);
		expect(outcome.value.hunts?.map(({ key }) => key)).toEqual(['back']);
		const last = settleHunt(outcome.value, 'back', 'error K1: red back');
		expect(last.ok && [last.value.hunts, last.value.variants.length]).toEqual([undefined, 1]);
	});

	test.each([
		['k3', 'insert Ink: K1', /add no card/],
		['k3', '', /add no card/],
		['k3', 'insert Ink: nonsense words', /not understood/],
		['gone', 'insert Ink: K3', /no longer looked for/]
	])('%s by "%s" is refused', (key, lines, message) => {
		const outcome = settleHunt(hunted, key, lines);
		expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(message);
	});

	test('that is looked for again keeps the day and the place', () => {
		const outcome = lookAgain(hunted, 'k3', '1996-10-06', '');
		expect(outcome.ok && outcome.value.hunts?.[0]).toEqual({
			key: 'k3',
			name: 'K3, never seen',
			section: 'ink',
			lastLooked: '1996-10-06'
		});
		expect(lookAgain(hunted, 'gone', '1996-10-06', 'fair').ok).toBe(false);
	});
});

test('an error beside a correction that was recorded alone is refused; both at once, or the correction later, are not', () => {
	const begun = readOutline('release R, M, 1994\nbase Base: 1-3\ncorrected 2: blue\nerror 3: red');
	expect(begun.problems).toEqual([]);
	const told = { message: '2 has the correction "blue": its regular card is the error already' };
	expect(readOutline('error 2: upside down', begun.release).problems).toMatchObject([told]);
	expect(addVariantLine(begun.release, 'error 1-2: upside down')).toMatchObject({
		ok: false,
		problems: [told]
	});
	expect(readOutline('corrected 3: green', begun.release).problems).toEqual([]);
	expect(readOutline('error 1: red\ncorrected 1: green', begun.release).problems).toEqual([]);
});

test('two lines that begin a section of one name are told of, beside panels too; no card of them is lost', () => {
	const begun = readOutline('release R, M, 1994\nbase Base: 1-2');
	for (const more of ['', '\npanels Pairs of Base: 2 in a row']) {
		const { problems } = readOutline(`insert Fresh: N1\ninsert Fresh: N2${more}`, begun.release);
		expect(problems).toMatchObject([{ message: expect.stringContaining('"fresh"') as string }]);
	}
});
