import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { expand } from '../versions/expand.ts';
import { addVariantLine } from './add-variant-line.ts';
import { parseOutline } from './parse-outline.ts';
import { readOutline } from './read-outline.ts';

const HARBOUR = `release Harbour Lights 1994, Gullhaven Card Works, 1994
pack Hobby: 10 cards, 36 packs
# two series
base Base: 1-240, stated 240
series Series 1: 1-160
series Series 2: 161-240
subset Storm Watch in Base: 11-18
subset Keepers' Dogs in Base: 97-108
subset New Lamps in Base: 201-212
insert Fresnel: F1-F15, hobby 1:6
insert Storm Log: 10 cards, hobby 1:12
insert Keeper's Ink: K1-K12, hobby 1:96
extra Stickers: 9 cards, grid 3x3
parallel Brass: Base, Storm Watch, Keepers' Dogs, New Lamps
parallel Verdigris: Base /120, New Lamps /75, Storm Watch /45
parallel First Beam: Base /10, Storm Watch /10, Keepers' Dogs /10, New Lamps /10
27: home town, two printings
error 31 + 33-35: wrong back
`;

describe('a whole outline', () => {
	test('makes the release it sketches', () => {
		const { release, cards, versions, problems } = readOutline(HARBOUR);
		expect(problems).toEqual([]);
		// 240 in the numbering, 15 + 10 + 12 inserts, 9 stickers; worked by hand from design.md §4.
		expect(cards).toBe(240 + 15 + 10 + 12 + 9);
		expect(release.sections.map((section) => section.cards.length)).toEqual([
			208, 8, 12, 12, 15, 10, 12, 9
		]);
		// The 985 of the demo, 9 stickers, and the errors of 27, 31 and 33 to 35.
		expect(versions).toBe(985 + 9 + 5);
		expect(
			expand(release)
				.filter(({ variantKey }) => variantKey)
				.map(({ cardKey }) => cardKey)
		).toEqual(['base-27', 'base-31', 'base-33', 'base-34', 'base-35']);
		expect(release.sections[0]?.series).toHaveLength(2);
		expect(release.sections[7]).toMatchObject({
			listed: false,
			arrangement: { kind: 'puzzle', columns: 3, rows: 3 }
		});
	});

	test('an edition, a roman section, an exception, a strip', () => {
		const { release, problems } = readOutline(
			[
				'release The Drowned Bell, Kittiwake Press, 1998',
				'base Story: 1-9, strip 3',
				'insert Acts: I-V',
				'extra Premium of Story + Acts: P1-P10, without 4, without II',
				'parallel Foil: all /50, not Acts, not 7-8'
			].join('\n')
		);
		expect(problems).toEqual([]);
		const keys = expand(release).map(({ key }) => key.replace(/^[^/]*\//, ''));
		expect(keys.filter((key) => key.startsWith('premium') && !key.includes('~'))).toHaveLength(
			10 + 8 + 4
		);
		expect(keys.filter((key) => key.startsWith('story') && key.endsWith('~foil'))).toHaveLength(7);
		expect(keys.filter((key) => key.startsWith('acts'))).toEqual([
			'acts-i',
			'acts-ii',
			'acts-iii',
			'acts-iv',
			'acts-v'
		]);
		expect(release.sections[0]?.cards.map(({ place }) => place)).toEqual([
			1, 2, 3, 1, 2, 3, 1, 2, 3
		]);
	});
});

describe('problems are named with line and place', () => {
	test.each<[string, string, number, RegExp]>([
		['a line that means nothing', 'hello', 2, /not understood/],
		['a word of a section', 'base B: 1-9, 3 pages', 2, /not understood of a section/],
		['a range backwards', 'base B: 9-1', 2, /runs backwards/],
		['mixed prefixes', 'base B: A1-B9', 2, /not numbers of one run/],
		['an endless range', 'base B: 1-999999', 2, /says 999999 cards/],
		['a parent that is not there', 'subset S in Nix: 1-2', 2, /no section "Nix"/],
		[
			'a subset beyond its parent',
			'base B: 1-9\nsubset S in B: 8-12',
			3,
			/10, 11, 12, which B does not reach/
		],
		[
			'subsets that overlap',
			'base B: 1-9\nsubset S in B: 1-4\nsubset T in B: 4-5',
			4,
			/T and S both have 4/
		],
		['a parallel of an unknown section', 'base B: 1-9\nparallel P: Nix /5', 3, /no section "Nix"/],
		['a parallel of nothing', 'base B: 1-9\nparallel P', 3, /does not say of what/],
		['a variant of a card that is not there', 'base B: 1-9\n12: town', 3, /no card "12"/],
		['odds of an unknown pack', 'pack Hobby: 10 cards\nbase B: 1-9, retail 1:6', 3, /no pack type/]
	])('%s', (_, lines, line, message) => {
		const { problems } = readOutline(`release R, M, 1994\n${lines}`);
		expect(problems.map((problem) => problem.message).join('\n')).toMatch(message);
		if (!/variant/.test(_)) expect(problems[0]?.line).toBe(line);
	});

	test.each<[string, string, number, RegExp]>([
		['two releases', 'release S, M, 1995\nbase B: 1-9', 2, /second release; line 1/],
		['a run of none', 'base B: 1-9\nparallel P: B /0', 3, /print run of 0/],
		['a section of none', 'base B: 1-9, /0', 2, /print run of 0/],
		['one card too many', 'base B: 1-50001', 2, /says 50001 cards; at most 50000/],
		['the same without numbers', 'insert B: 50001 cards', 2, /says 50001 cards/],
		['the same over sections', 'base B: 1-30000\ninsert C: 1-30000', 2, /says 60000 cards/],
		['backwards', 'base B: 5-1', 2, /5–1 runs backwards/]
	])('%s: the right words', (_, lines, line, message) => {
		const { problems } = readOutline(`release R, M, 1994\n${lines}`);
		expect(problems.map((problem) => problem.message).join('\n')).toMatch(message);
		expect(problems[0]?.line).toBe(line);
	});

	test.each([
		['blanks in a section', `base ${' '.repeat(180_000)}B in ${' '.repeat(1000)}C`],
		['blanks in a list', `base B: 1${' '.repeat(180_000)}2`],
		['blanks in a variant', `error ${' and'.repeat(40_000)}: x`],
		['strokes', `parallel P: ${'/ '.repeat(90_000)}`],
		['many runs', `base B: ${'1-50000, '.repeat(20_000)}`]
	])('a line as long as an outline may be is answered at once: %s', (_, line) => {
		const begun = performance.now();
		expect(
			readOutline(`release R, M, 1994\n${line}`.slice(0, 200_000)).problems.length
		).toBeGreaterThan(0);
		expect(performance.now() - begun).toBeLessThan(10_000);
	});

	test('a part of a line is marked in the text', () => {
		const text = 'release R, M, 1994\nbase B: 1-9, nonsense, 11';
		const { problems } = parseOutline(text);
		expect(problems.map(({ start, end }) => text.slice(start, end))).toEqual(['nonsense']);
		const wide = 'release R, M, 1994\nbase B:   1-9,    odd   words,  11';
		const { problems: found } = parseOutline(wide);
		expect(found.map(({ start, end }) => wide.slice(start, end))).toEqual(['odd   words']);
	});

	test('without a release line it says so, and for all texts it answers', () => {
		expect(readOutline('base B: 1-3').problems[0]?.message).toMatch(/which release/);
		const text = fc.string({
			unit: fc.constantFrom(
				'base ',
				'subset ',
				' in ',
				'B',
				':',
				'1',
				'-',
				'9',
				',',
				'\n',
				'/',
				'x',
				'parallel '
			)
		});
		fc.assert(
			fc.property(text, (any) => {
				expect(readOutline(any).problems.length).toBeGreaterThanOrEqual(
					any.includes('release') ? 0 : 1
				);
			})
		);
	});
});

describe('a variant in one line', () => {
	const { release } = readOutline('release R, M, 1994\nbase Base: 1-9\ninsert Ink: 1-3');
	test.each<[string, string[]]>([
		['7: home town, two printings', ['error home-town base-7']],
		['image variation 2 in Ink: dusk', ['image variation dusk ink-2']],
		['error 8-9: back', ['error back base-8', 'error back base-9']]
	])('%s', (line, added) => {
		const outcome = addVariantLine(release, line);
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		const kindOf = (key: string | null) =>
			outcome.value.variants.find((variant) => variant.key === key)?.kind ?? '';
		const versions = expand(outcome.value).filter(({ variantKey }) => variantKey);
		expect(
			versions.map(({ variantKey, cardKey }) => `${kindOf(variantKey)} ${variantKey} ${cardKey}`)
		).toEqual(added);
	});

	test.each([
		['', /empty/],
		['base B: 1-9', /no variant/],
		['99: town', /no card "99"/],
		['error 1 in Nix: town', /no section "Nix"/],
		['27', /not understood/]
	])('"%s" is refused', (line, message) => {
		const outcome = addVariantLine(release, line);
		expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(message);
	});
});
