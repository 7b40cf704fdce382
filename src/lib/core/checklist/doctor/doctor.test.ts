import { describe, expect, test } from 'vitest';
import { compareReleases } from '../compare/compare-releases.ts';
import type { ReleaseDraft } from '../draft/draft.ts';
import { productionOf, runsOf } from '../versions/production.ts';
import { expand } from '../versions/expand.ts';
import { completeDraft } from '../draft/resolve-release.ts';
import { applyMend } from './apply-mend.ts';
import { examine } from './examine.ts';

const cards = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({
		number: String(from + i),
		title: `T${from + i}`
	}));
const draft = (rest: Partial<ReleaseDraft>): ReleaseDraft => ({
	release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
	sections: [{ name: 'Base', cards: cards(1, 20) }],
	...rest
});
const release = (rest: Partial<ReleaseDraft> = {}) => completeDraft(draft(rest)).release;

describe('the doctor', () => {
	test('has nothing to say of a sound release', () => {
		expect(
			examine(release({ sections: [{ name: 'Base', statedTotal: 20, cards: cards(1, 20) }] }))
		).toEqual([]);
	});

	const two = (names: readonly string[]) =>
		names.map((name) => ({ name, runs: [{ sections: ['base'], swatch: 'with' as const }] }));

	test.each<[string, Partial<ReleaseDraft>]>([
		[
			'dual numbers leave no gap',
			{
				sections: [
					{
						name: 'Base',
						cards: [
							...cards(1, 4),
							{ number: '5', otherNumbers: ['6'] },
							{ number: '7/8' },
							...cards(9, 12)
						]
					}
				]
			}
		],
		[
			'an edition may begin where what it repeats does',
			{
				sections: [
					{ name: 'Base', statedTotal: 6, cards: cards(101, 106) },
					{ name: 'Late', cards: cards(11, 14) },
					{ name: 'Foreign', kind: 'extra', edition: { of: ['late'] }, cards: [] }
				]
			}
		],
		[
			'a total over sections that are not listed',
			{ sections: [{ name: 'Stickers', kind: 'extra', statedTotal: 9, cards: cards(1, 9) }] }
		],
		[
			'letters as numbers',
			{ sections: [{ name: 'Acts', cards: 'ABCDIMVX'.split('').map((number) => ({ number })) }] }
		],
		['one level with a swatch', { parallels: two(['Red']) }]
	])('says nothing of %s', (_, rest) => {
		expect(examine(release(rest))).toEqual([]);
	});

	test('counts the odds of finishes into a pack, and a swatch once a card', () => {
		const packed = release({
			packTypes: [{ key: 'hobby', name: 'Hobby', cardsPerPack: 2 }],
			sections: [{ name: 'Base', odds: { hobby: '1:1' }, cards: cards(1, 20) }],
			parallels: [{ name: 'Red', runs: [{ sections: ['base'], odds: { hobby: '3:2' } }] }]
		});
		expect(examine(packed)).toMatchObject([
			{ code: 'odds do not fit the pack', message: /2\.50 cards a pack, which holds 2/ }
		]);
		expect(examine(release({ parallels: two(['Red', 'Gold']) }))).toMatchObject([
			{ code: 'swatch or not', message: /1–20 have a swatch in Red and in Gold/ }
		]);
	});

	test.each<[string, Partial<ReleaseDraft>, string, RegExp, number]>([
		[
			'a gap',
			{ sections: [{ name: 'Base', cards: [...cards(2, 5), ...cards(8, 9)] }] },
			'gap',
			/no 1, 6, 7$/,
			0
		],
		[
			'a number twice',
			{ sections: [{ name: 'Base', cards: [...cards(1, 3), { number: '2', title: 'Z' }] }] },
			'does not fit',
			/number 2 is already used/,
			0
		],
		[
			'a title twice',
			{
				sections: [
					{
						name: 'Base',
						cards: [
							{ number: '1', title: 'A' },
							{ number: '2', title: 'a' }
						]
					}
				]
			},
			'repeated title',
			/"A" stands 2 times in Base: 1, 2/,
			2
		],
		[
			'a subset outside its parent',
			{
				sections: [
					{ name: 'Base', statedTotal: 22, cards: cards(1, 20) },
					{ name: 'Late', kind: 'subset', numberedIn: 'base', cards: cards(21, 24) }
				]
			},
			'outside its numbering',
			/Late has 23, 24, outside the numbers of Base/,
			2
		],
		[
			'subsets that overlap',
			{
				sections: [
					{ name: 'Base', cards: cards(1, 5) },
					{ name: 'A', kind: 'subset', numberedIn: 'base', cards: cards(6, 8) },
					{
						name: 'B',
						kind: 'subset',
						numberedIn: 'base',
						cards: [{ number: '8', title: 'x' }, { number: '9' }]
					}
				]
			},
			'does not fit',
			/number 8 is already used by "T8"/,
			0
		],
		[
			'a parallel that covers nothing',
			{ parallels: [{ name: 'Ghost', runs: [{ from: '90', to: '99' }] }] },
			'parallel covers nothing',
			/Ghost was made of no card/,
			0
		],
		[
			'a run above the level below it',
			{
				parallels: [
					{ name: 'Silver', runs: [{ sections: ['base'], printRun: 50 }] },
					{ name: 'Gold', runs: [{ sections: ['base'], printRun: 80 }] }
				]
			},
			'print run above the level below',
			/Gold \/80 is more than Silver \/50/,
			20
		],
		[
			'odds that do not fit the pack',
			{
				packTypes: [{ name: 'Small', cardsPerPack: 2 }],
				sections: [
					{ name: 'Base', odds: { small: '2:1' }, cards: cards(1, 2) },
					{ name: 'X', kind: 'insert', odds: { small: '1:3' }, cards: cards(1, 2) }
				]
			},
			'odds do not fit the pack',
			/2\.33 cards a pack, which holds 2/,
			0
		],
		[
			'the card says 120, you have 131',
			{ sections: [{ name: 'Base', statedTotal: 120, cards: cards(1, 131) }] },
			'stated total differs',
			/says 120 for Base, you have 131: here are the 11: 121–131/,
			11
		],
		[
			'the card says 120, you have 118',
			{ sections: [{ name: 'Base', statedTotal: 120, cards: cards(1, 118) }] },
			'stated total differs',
			/you have 118: 2 are not entered/,
			0
		],
		[
			'a swatch both ways',
			{
				parallels: [
					{
						name: 'Red',
						runs: [
							{ cards: ['3'], swatch: 'with' },
							{ cards: ['3', '4'], swatch: 'without' }
						]
					}
				]
			},
			'swatch or not',
			/Red is said to be with and without a swatch for 3;/,
			1
		],
		[
			'a mirrored error by half',
			{ variants: [{ kind: 'uncorrected', name: 'Backs swapped', cards: ['3'], mirrors: '7' }] },
			'mirrored error by half',
			/of 3 mirrors 7, which has no record/,
			1
		]
	])('names %s', (_, rest, code, message, count) => {
		const findings = examine(release(rest)).filter((finding) => finding.code === code);
		expect(findings).toHaveLength(1);
		expect(findings[0]?.message).toMatch(message);
		expect(findings[0]?.cards).toHaveLength(count);
	});

	test('says nothing of a rule for one card that overrides the rule of the section', () => {
		const runs = [
			{ sections: ['base'], swatch: 'without' as const },
			{ cards: ['3'], swatch: 'with' as const }
		];
		expect(examine(release({ parallels: [{ name: 'Red', runs }] }))).toEqual([]);
	});

	test.each<[string, Partial<ReleaseDraft>]>([
		['a gap', { sections: [{ name: 'Base', cards: [...cards(1, 5), ...cards(8, 9)] }] }],
		['an empty parallel', { parallels: [{ name: 'Ghost', runs: [{ from: '90' }] }] }],
		['an empty variant', { variants: [{ kind: 'error', name: 'X', from: '90' }] }],
		[
			'half a mirrored error',
			{ variants: [{ kind: 'uncorrected', name: 'Backs', cards: ['3'], mirrors: '7' }] }
		]
	])('mends %s, and keeps every version there was but what it removes', (_, rest) => {
		const before = release(rest);
		const [finding] = examine(before);
		if (!finding?.mend) throw new RangeError('this finding has a mend');
		const after = applyMend(before, finding.mend);
		expect(examine(after)).toEqual([]);
		const keys = new Set(expand(after).map(({ key }) => key));
		expect(expand(before).filter(({ key }) => !keys.has(key))).toEqual([]);
	});
});

describe('production', () => {
	// ● Two sections meet at the same run on the top level. Worked by hand; common practice, no source.
	const made = release({
		sections: [
			{ name: 'Base', printRun: 500, cards: cards(1, 3) },
			{ name: 'Rookies', kind: 'subset', numberedIn: 'base', printRun: 250, cards: cards(4, 5) },
			{ name: 'Extra', kind: 'extra', cards: [{ title: 'Sticker' }] }
		],
		parallels: [{ name: 'Top', runs: [{ sections: ['base', 'rookies'], printRun: 25 }] }]
	});

	test('by section and finish', () => {
		const rows = productionOf(made).map(
			({ sectionKey, parallelKey, cards: count, copiesMade, mostRuns }) =>
				[sectionKey, parallelKey, count, copiesMade, mostRuns].join(' ')
		);
		expect(rows).toEqual([
			'base  3 1500 500',
			'base top 3 75 25',
			'rookies  2 500 250',
			'rookies top 2 50 25',
			'extra  1  '
		]);
	});

	test('of a choice of versions the smallest run is the bottleneck', () => {
		const base = expand(made).filter(
			({ parallelKey, sectionKey }) => parallelKey === null && sectionKey !== 'extra'
		);
		expect(runsOf(base)).toEqual({
			copiesMade: 2000,
			numbered: 5,
			mostRuns: 250,
			bottlenecks: ['r/base-4', 'r/base-5']
		});
		expect(runsOf([])).toEqual({ copiesMade: null, numbered: 0, mostRuns: null, bottlenecks: [] });
	});
});

describe('two releases one above the other', () => {
	const year = (name: string, base: [string, string][], insert: string): ReleaseDraft => ({
		release: { name, maker: 'M', year: name },
		sections: [
			{ name: 'Base', cards: base.map(([number, title]) => ({ number, title })) },
			{ name: insert, kind: 'insert', cards: [{ title: 'X' }] }
		]
	});
	const left = completeDraft(
		year(
			'1994',
			[
				['1', 'Ada'],
				['2', 'Bram'],
				['3', 'Cora']
			],
			'Fresnel'
		)
	).release;
	const right = completeDraft(
		year(
			'1995',
			[
				['1', 'Bram'],
				['2', 'Dunstan'],
				['3', 'Edda'],
				['4', 'Fen']
			],
			'Prism'
		)
	).release;

	test('sections meet by name, then by kind; cards by subject, then by place', () => {
		const told = compareReleases(left, right).map((pair) => [
			`${pair.left?.name} ${pair.right?.name}`,
			...pair.pairs.map(
				(cardPair) => `${cardPair.left?.title} ${cardPair.right?.title} ${cardPair.by}`
			)
		]);
		expect(told).toEqual([
			[
				'Base Base',
				'Ada undefined null',
				'Bram Bram subject',
				'Cora Edda place',
				'undefined Dunstan null',
				'undefined Fen null'
			],
			['Fresnel Prism', 'X X subject']
		]);
	});

	test('every card of both stands in exactly one pair', () => {
		for (const [a, b] of [
			[left, right],
			[right, left],
			[left, left]
		] as const) {
			const pairs = compareReleases(a, b).flatMap((pair) => pair.pairs);
			const keys = (side: 'left' | 'right') =>
				pairs.flatMap((pair) => pair[side]?.key ?? []).sort();
			const all = (of: typeof a) =>
				of.sections.flatMap((section) => section.cards.map(({ key }) => key)).sort();
			expect(keys('left')).toEqual(all(a));
			expect(keys('right')).toEqual(all(b));
		}
	});
});
