import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { ReleaseDraft, VariantDraft } from './draft.ts';
import { expand } from '../versions/expand.ts';
import type { Release } from '../release.ts';
import { oddReleaseDraft } from './release.arbitrary.ts';
import { resolveRelease } from './resolve-release.ts';

const cards = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({ number: String(from + i) }));
const draft = (rest: Partial<ReleaseDraft>): ReleaseDraft => ({
	release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
	sections: [{ name: 'Base', cards: cards(1, 4) }],
	...rest
});

function release(rest: Partial<ReleaseDraft>): Release {
	const outcome = resolveRelease(draft(rest));
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const keysOf = (rest: Partial<ReleaseDraft>) =>
	expand(release(rest)).map(({ key }) => key.replace('r/', ''));

const brass = { name: 'Brass', runs: [{ sections: ['base'], printRun: 120 }] };

describe('variants', () => {
	const of = (...variants: VariantDraft[]) =>
		keysOf({ parallels: [brass], variants }).filter((key) => key.startsWith('base-2'));

	// ● The image variation bears the same number; an uncorrected error makes no second version; an
	// error and its correction are two. Common practice, no source.
	test.each<[string, VariantDraft[], string[]]>([
		['image variation', [{ kind: 'image variation', name: 'Dusk', cards: ['2'] }], ['base-2!dusk']],
		['uncorrected', [{ kind: 'uncorrected', name: 'Name', cards: ['2'] }], []],
		['short print', [{ kind: 'short print', name: 'SP', cards: ['2'] }], []],
		['error alone', [{ kind: 'error', name: 'Town', cards: ['2'] }], ['base-2!town']],
		['correction alone', [{ kind: 'corrected', name: 'Town', cards: ['2'] }], ['base-2!town']],
		[
			'error and correction',
			[
				{ kind: 'error', name: 'Wrong town', cards: ['2'] },
				{ kind: 'corrected', name: 'Right town', cards: ['2'] }
			],
			['base-2!wrong-town']
		],
		['two printings of everything', [{ kind: 'print variation', name: 'Matte' }], ['base-2!matte']],
		[
			'a quirk of a range',
			[{ kind: 'quirk', name: 'No stamp', from: '2', to: '3' }],
			['base-2!no-stamp']
		],
		['of other cards', [{ kind: 'error', name: 'X', from: '3' }], []]
	])('%s', (_, variants, added) => {
		expect(of(...variants)).toEqual(['base-2', ...added, 'base-2~brass']);
	});

	test('exist in parallels only where that is said', () => {
		const both: VariantDraft = { kind: 'error', name: 'X', cards: ['2'], inParallels: ['brass'] };
		expect(of(both)).toEqual(['base-2', 'base-2!x', 'base-2~brass', 'base-2~brass!x']);
	});
});

describe('run rules', () => {
	test('the narrower rule wins, an exception unmakes, ranges and cards hold', () => {
		const runs = [
			{ sections: ['base'], printRun: 100 },
			{ sections: ['base'], from: '2', to: '3', printRun: 50 },
			{ cards: ['3'], printRun: 10 },
			{ cards: ['4'], notIssued: true as const }
		];
		const made = expand(release({ parallels: [{ name: 'Gold', runs }] }))
			.filter(({ parallelKey }) => parallelKey === 'gold')
			.map(({ cardKey, printRun }) => `${cardKey} ${printRun}`);
		expect(made).toEqual(['base-1 100', 'base-2 50', 'base-3 10']);
	});

	// ● Either/or: if the red one has a swatch, no red without one exists. Common practice, no source.
	test('a swatch or its lack is one version, known or not', () => {
		const runs = [
			{ sections: ['base'], swatch: 'without' as const },
			{ cards: ['2'], swatch: 'with' as const },
			{
				cards: ['3'],
				swatch: 'unknown' as const,
				confidence: 'not seen yet' as const,
				source: 'a friend'
			}
		];
		const red = expand(release({ parallels: [{ name: 'Red', runs }] })).filter(
			({ parallelKey }) => parallelKey
		);
		expect(red.map(({ cardKey, swatch }) => `${cardKey} ${swatch}`)).toEqual([
			'base-1 without',
			'base-2 with',
			'base-3 unknown',
			'base-4 without'
		]);
	});
});

describe('editions', () => {
	const premium = {
		name: 'Premium',
		kind: 'extra' as const,
		edition: { of: ['base'], changes: [{ card: '2', title: 'New', number: '22' }], without: ['4'] },
		cards: [{ number: '5', title: 'Added' }]
	};

	test('repeat the cards as the rule says, without copies of them', () => {
		const whole = release({ sections: [{ name: 'Base', cards: cards(1, 4) }, premium] });
		expect(whole.sections[1]?.cards).toHaveLength(1);
		expect(
			expand(whole)
				.map(({ key }) => key.replace('r/', ''))
				.slice(4)
		).toEqual(['premium-1', 'premium-3', 'premium-5', 'premium-2']);
	});

	test('follow the section they repeat when it grows', () => {
		const before = keysOf({ sections: [{ name: 'Base', cards: cards(1, 4) }, premium] });
		const after = keysOf({
			sections: [{ name: 'Base', cards: [...cards(1, 4), { number: '9' }] }, premium]
		});
		expect(after.filter((key) => !before.includes(key))).toEqual(['base-9', 'premium-9']);
	});
});

test.each<[string, Partial<ReleaseDraft>, string]>([
	[
		'a variant of a card that is not there',
		{ variants: [{ kind: 'error', name: 'X', cards: ['9'] }] },
		'/variants/0/cards/0'
	],
	[
		'a range backwards',
		{ variants: [{ kind: 'error', name: 'X', from: '3', to: '1' }] },
		'/variants/0/from'
	],
	[
		'a variant in an unknown parallel',
		{ variants: [{ kind: 'error', name: 'X', inParallels: ['nix'] }] },
		'/variants/0/inParallels'
	],
	[
		'an edition of nothing',
		{ sections: [{ name: 'E', edition: { of: ['nix'] }, cards: [] }] },
		'/sections/0/edition/of/0'
	],
	[
		'an edition without a card that is not there',
		{
			sections: [
				{ name: 'Base', cards: cards(1, 2) },
				{ name: 'E', edition: { of: ['base'], without: ['7'] }, cards: [] }
			]
		},
		'/sections/1/edition/without/0'
	],
	[
		'an edition that adds a number it repeats',
		{
			sections: [
				{ name: 'Base', cards: cards(1, 2) },
				{ name: 'E', edition: { of: ['base'] }, cards: cards(2, 2) }
			]
		},
		'/sections/1/cards/0/number'
	],
	[
		'a panel of cards that are not there',
		{ sections: [{ name: 'P', cards: [{ number: '1', panelOf: ['8'] }] }] },
		'/sections/0/cards/0/panelOf/0'
	]
])('%s is named with its place', (_, rest, pointer) => {
	const outcome = resolveRelease(draft(rest));
	expect(outcome.ok ? [] : outcome.problems.map((problem) => problem.pointer)).toEqual([pointer]);
});

test('for all releases, however odd: a version exists once', () => {
	fc.assert(
		fc.property(oddReleaseDraft, (odd) => {
			const outcome = resolveRelease(odd);
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			const keys = expand(outcome.value).map(({ key }) => key);
			expect(new Set(keys).size).toBe(keys.length);
		})
	);
});
