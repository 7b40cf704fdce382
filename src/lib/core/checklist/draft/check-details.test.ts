import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { checkDetails } from './check-details.ts';
import type { ReleaseDraft } from './draft.ts';
import { recordedReleaseDraft } from './release.arbitrary.ts';
import { completeDraft } from './resolve-release.ts';

const draft: ReleaseDraft = {
	release: { name: 'Gull Row', maker: 'M', year: '1996' },
	packTypes: [
		{ key: 'hobby', name: 'Hobby' },
		{ key: 'tin', name: 'Tin', packs: [{ packType: 'hobby', count: 2 }] }
	],
	sections: [{ key: 'base', name: 'Base', cards: [{ number: '1' }, { number: '2' }] }],
	parallels: [{ name: 'Brass', runs: [{ sections: ['base'] }] }],
	variants: [{ kind: 'error', name: 'town', cards: ['1'] }]
};
const [base] = draft.sections;
const section = (more: object): ReleaseDraft => ({
	...draft,
	sections: [{ ...base, name: 'Base', cards: base?.cards ?? [], ...more }]
});
const pointersOf = (of: ReleaseDraft) =>
	checkDetails(completeDraft(of).release).map(({ pointer }) => pointer);

test('what fits together is no problem', () => {
	expect(pointersOf(draft)).toEqual([]);
	fc.assert(
		fc.property(recordedReleaseDraft, (drawn) => {
			expect(pointersOf(drawn)).toEqual([]);
		}),
		{ numRuns: 30 }
	);
});

describe('each contradiction is named at its place', () => {
	test.each<[string, ReleaseDraft, readonly string[]]>([
		['a section in a pack that is none', section({ onlyIn: ['jumbo'] }), ['/sections/0/onlyIn']],
		[
			'a card in a pack that is none',
			section({ cards: [{ number: '1', onlyIn: ['hobby', 'jumbo'] }] }),
			['/sections/0/cards/0/onlyIn']
		],
		['more found than looked at', section({ lookedAt: 3, found: 4 }), ['/sections/0/found']],
		['found among none said', section({ found: 4 }), ['/sections/0/found']],
		['found none of three', section({ lookedAt: 3, found: 0 }), []],
		[
			'a run and a variant as well',
			{
				...draft,
				parallels: [{ name: 'Brass', runs: [{ sections: ['base'], lookedAt: 1, found: 2 }] }],
				variants: [{ kind: 'error', name: 'town', cards: ['1'], lookedAt: 1, found: 2 }]
			},
			['/variants/0/found', '/parallels/0/runs/0/found']
		],
		[
			'an edition from no number',
			section({ cards: [], edition: { of: ['other'], from: 'A' } }),
			['/sections/0/edition/from']
		],
		[
			'at least eight and at most six',
			{
				...draft,
				variants: [{ kind: 'error', name: 'town', cards: ['1'], believed: { least: 8, most: 6 } }]
			},
			['/variants/0/believed']
		],
		[
			'a place that it takes of itself',
			section({ takesPlaceOf: 'base' }),
			['/sections/0/takesPlaceOf']
		],
		['a place of nobody', section({ takesPlaceOf: 'log' }), ['/sections/0/takesPlaceOf']],
		[
			'guarantees of nothing, of what is not there, twice, and more than packs',
			{
				...draft,
				packTypes: [
					{
						...{ key: 'hobby', name: 'Hobby', packsPerBox: 3 },
						guarantees: [
							{ count: 1 },
							{ count: 1, sections: ['log'], parallels: ['teal'] },
							{ count: 4, sections: ['base'] },
							{ count: 1, parallels: ['brass'], sections: ['base'] }
						]
					},
					{ key: 'loose', name: 'Loose', guarantees: [{ count: 1, sections: ['base'] }] }
				]
			},
			[
				'/packTypes/0/guarantees/0',
				'/packTypes/0/guarantees/1/sections',
				'/packTypes/0/guarantees/1/parallels',
				'/packTypes/0/guarantees/2/count',
				'/packTypes/0/guarantees/3/sections',
				'/packTypes/1/guarantees/0'
			]
		],
		[
			'a format made of itself, and of nothing',
			{
				...draft,
				packTypes: [
					{ key: 'hobby', name: 'Hobby' },
					{
						key: 'tin',
						name: 'Tin',
						packs: [
							{ packType: 'tin', count: 1 },
							{ packType: 'jumbo', count: 1 }
						]
					}
				]
			},
			['/packTypes/1/packs/0/packType', '/packTypes/1/packs/1/packType']
		],
		[
			'a hunt in a section that is none, and keys twice',
			{
				...draft,
				collectibles: [
					{ key: 'a', kind: 'poster', name: 'P' },
					{ key: 'a', kind: 'box', name: 'B' }
				],
				hunts: [
					{ key: 'h', name: 'H', section: 'foils' },
					{ key: 'h', name: 'I' }
				]
			},
			['/collectibles/1/key', '/hunts/1/key', '/hunts/0/section']
		]
	])('%s', (_, of, wanted) => {
		expect(pointersOf(of)).toEqual(wanted);
	});

	test('where no pack types are named, any key may be one', () => {
		expect(pointersOf({ ...section({ onlyIn: ['jumbo'] }), packTypes: [] })).toEqual([]);
	});
});
