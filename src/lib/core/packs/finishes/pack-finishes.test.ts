import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../../checklist/draft/resolve-release.ts';
import type { Release } from '../../checklist/release.ts';
import { packFinder, packFinishes } from './pack-finishes.ts';

const cards = (count: number, prefix = '') =>
	Array.from({ length: count }, (_, i) => ({ number: `${prefix}${i + 1}` }));

function made(): Release {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		packTypes: [
			{ key: 'hobby', name: 'Hobby box' },
			{ key: 'retail', name: 'Retail' },
			{ key: 'bonus', name: 'Bonus pack' },
			{
				key: 'blaster',
				name: 'Blaster',
				packs: [
					{ packType: 'retail', count: 2 },
					{ packType: 'bonus', count: 1 }
				]
			}
		],
		sections: [
			{ name: 'Base', cards: [...cards(9), { number: '10', onlyIn: ['hobby'] }] },
			{
				name: 'Fresnel',
				kind: 'insert',
				odds: { hobby: '1:6', retail: '1:12' },
				cards: cards(15, 'F')
			},
			{ name: 'Foil', kind: 'insert', onlyIn: ['bonus'], noBaseFinish: true, cards: cards(3, 'X') }
		],
		parallels: [
			{ name: 'Brass', runs: [{ sections: ['base', 'fresnel'], odds: { hobby: '1:4' } }] },
			{ name: 'Slate', channel: 'hobby box', runs: [{ sections: ['base'] }] },
			{ name: 'Post', channel: 'by post', runs: [{ sections: ['base'] }] },
			{ name: 'Violet', runs: [{ sections: ['foil'] }, { cards: ['10'], notIssued: true }] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

test('which finishes each kind of pack may hold', () => {
	const told = packFinishes(made()).map(
		({ sectionKey, parallelKey, cards: count, packs, channel }) =>
			[
				`${sectionKey}${parallelKey ? `~${parallelKey}` : ''} ${count}:`,
				...packs.map(({ pack, odds }) => (odds ? `${pack} ${odds.cards}:${odds.packs}` : pack)),
				...(channel ? [channel] : [])
			].join(' ')
	);
	expect(told).toEqual([
		'base 9: hobby retail bonus blaster',
		'base 1: hobby',
		'base~brass 10: hobby 1:4',
		'base~slate 10: hobby',
		'base~post 10: by post',
		'fresnel 15: hobby 1:6 retail 1:12 bonus blaster',
		'fresnel~brass 15: hobby 1:4',
		'foil~violet 3: bonus blaster'
	]);
});

describe('which packs may hold a card', () => {
	const told = (card: string, parallel: string | null) =>
		packFinder(made())(card, parallel).map(
			({ pack, chance }) => `${pack}${chance === null ? '' : ` ${chance.toFixed(5)}`}`
		);
	test.each<[string, string, string | null, readonly string[]]>([
		[
			'an insert at 1:6 of fifteen, the likeliest pack first',
			'fresnel-f1',
			null,
			['hobby 0.01111', 'retail 0.00556', 'bonus', 'blaster']
		],
		// 10 base cards and 15 inserts share the odds of the finish.
		['a finish over two sections', 'base-1', 'brass', ['hobby 0.01000']],
		['one only in a bonus pack', 'foil-x1', 'violet', ['bonus', 'blaster']],
		['a foil without a plain version', 'foil-x1', null, []],
		['one that comes by post', 'base-1', 'post', []],
		['one that was not made', 'fresnel-f1', 'slate', []],
		['a card that is not there', 'base-99', null, []],
		['a finish that is not there', 'base-1', 'gold', []]
	])('%s', (_, card, parallel, expected) => {
		expect(told(card, parallel)).toEqual(expected);
	});

	test('a format of other packs holds a card as often as these do together', () => {
		const release = made();
		const stated = {
			...release,
			sections: release.sections.map((section) =>
				section.key === 'fresnel'
					? { ...section, onlyIn: ['retail'], odds: [{ packType: 'retail', cards: 1, packs: 12 }] }
					: section
			)
		};
		// Two packs at 1:12 of fifteen, and a bonus pack without any: 1 − (1 − 1/180)².
		expect(packFinder(stated)('fresnel-f1', null)).toMatchObject([
			{ pack: 'blaster', odds: null, chance: expect.closeTo(0.01108, 6) as number },
			{ pack: 'retail', chance: expect.closeTo(1 / 180, 9) as number }
		]);
	});

	test('without kinds of packs nothing is said', () => {
		const bare = { ...made(), packTypes: [] };
		expect(packFinder(bare)('base-1', null)).toEqual([]);
		expect(packFinishes(bare).every(({ packs }) => packs.length === 0)).toBe(true);
	});
});
