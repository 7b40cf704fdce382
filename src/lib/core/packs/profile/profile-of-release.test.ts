import { describe, expect, test } from 'vitest';
import { at } from '../../at.ts';
import type { PackTypeDraft, ParallelDraft, SectionDraft } from '../../checklist/draft/draft.ts';
import { resolveRelease } from '../../checklist/draft/resolve-release.ts';
import { checkProfile, slotsOf } from './pack-profile.ts';
import { profileOfRelease } from './profile-of-release.ts';

const cards = (count: number, prefix = '') =>
	Array.from({ length: count }, (_, i) => ({ number: `${prefix}${i + 1}` }));

function made() {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		packTypes: [
			{ key: 'hobby', name: 'Hobby', cardsPerPack: 10, packsPerBox: 36 },
			{ key: 'retail', name: 'Retail', cardsPerPack: 4 },
			{ key: 'tin', name: 'Tin' }
		],
		sections: [
			{ name: 'Base', cards: cards(40) },
			{
				name: 'Storm Watch',
				kind: 'subset',
				numberedIn: 'base',
				cards: [{ number: '41' }, { number: '42' }]
			},
			{
				name: 'Fresnel',
				kind: 'insert',
				odds: { hobby: '1:6', retail: '1:12' },
				cards: cards(15, 'F')
			},
			{ name: 'Glow', kind: 'insert', odds: { hobby: '5:6' }, cards: cards(3, 'G') },
			{ name: 'Ink', kind: 'insert', odds: { hobby: '1:96' }, cards: cards(4, 'K') },
			{ name: 'Offer', kind: 'insert', odds: { hobby: '1:1' }, cards: cards(2, 'O') },
			{ name: 'Poster', kind: 'insert', cards: cards(2, 'P') }
		],
		parallels: [{ name: 'Brass', runs: [{ sections: ['base'], odds: { hobby: '1:4' } }] }],
		variants: [
			{ kind: 'short print', name: 'sp', cards: ['5'], odds: { hobby: '1:48' } },
			{ kind: 'short print', name: 'sp2', cards: ['7'], odds: { hobby: '1:48' } },
			{ kind: 'short print', name: 'sp3', cards: ['9'] },
			{ kind: 'image variation', name: 'dusk', cards: ['3'], odds: { hobby: '1:72' } }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const packOf = (key: string, lackingOf: (version: string) => number = () => 1) => {
	const release = made();
	const pack = release.packTypes.find((each) => each.key === key);
	if (!pack) throw new RangeError(key);
	return profileOfRelease(release, pack, lackingOf);
};

describe('the profile of a pack', () => {
	test('what fills it, what takes a place, and what comes in every pack', () => {
		const { profile, groups, unstated } = packOf('hobby');
		expect(checkProfile(profile)).toEqual([]);
		const told = profile.groups.map(({ key, comes, slot, takesPlaceOf }, i) => [
			key,
			groups[i]?.versions.length,
			comes.sort === 'count' ? `${comes.count} a pack` : `${comes.cards}:${comes.packs}`,
			[slot, takesPlaceOf].filter(Boolean).join(' for ')
		]);
		expect(told).toEqual([
			// Ten a pack, one of them always an offer card; three short prints are no usual base cards.
			['Base and Storm Watch', 39, '9 a pack', ''],
			['Base, Brass', 40, '1:4', 'place 2 for Base and Storm Watch'],
			['Base, image variation', 1, '1:72', 'place 2 for Base and Storm Watch'],
			['Base, short prints', 2, '2:48', 'place 2 for Base and Storm Watch'],
			['Fresnel', 15, '1:6', 'place 1 for Base and Storm Watch'],
			['Glow', 3, '5:6', 'place 1 for Base and Storm Watch'],
			['Ink', 4, '1:96', 'place 2 for Base and Storm Watch'],
			['Offer', 2, '1 a pack', '']
		]);
		expect(unstated).toEqual([
			{ name: 'Base, short prints', versions: ['r/base-9'] },
			{ name: 'Poster', versions: ['r/poster-p1', 'r/poster-p2'] }
		]);
		expect(slotsOf(profile).map(({ chance }) => chance.toFixed(4))).toEqual(['0.3160', '1.0000']);
	});

	test('short prints at other odds are groups of their own', () => {
		const outcome = resolveRelease({
			release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
			packTypes: [{ key: 'hobby', name: 'Hobby', cardsPerPack: 10 }],
			sections: [{ name: 'Base', cards: cards(20) }],
			variants: ['1:48', '1:96'].map((odds, i) => ({
				...{
					kind: 'short print' as const,
					name: odds,
					cards: [String(i + 1)],
					odds: { hobby: odds }
				}
			}))
		});
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		const { profile, groups } = profileOfRelease(
			...([outcome.value, at(outcome.value.packTypes, 0), () => 1] as const)
		);
		expect(checkProfile(profile)).toEqual([]);
		expect(groups.map(({ key, versions }) => [key, versions])).toEqual([
			['Base, short prints, 1:48', ['r/base-1']],
			['Base, short prints, 1:96', ['r/base-2']],
			['Base', expect.anything()]
		]);
	});

	test('cards are classed by what is lacking of them', () => {
		const { profile } = packOf('hobby', (version) =>
			version.startsWith('r/base-1') ? 0 : version.includes('fresnel') ? 2 : 1
		);
		expect(profile.groups[0]?.classes).toEqual([
			{ cards: 28, weight: 1, lacking: 1 },
			{ cards: 11, weight: 1, lacking: 0 }
		]);
		expect(profile.groups.find(({ key }) => key === 'Fresnel')?.classes).toEqual([
			{ cards: 15, weight: 1, lacking: 2 }
		]);
	});

	test('where nobody says how many cards a pack holds only what has odds is in it', () => {
		expect(packOf('retail').profile.groups.map(({ key }) => key)).toEqual([
			'Base and Storm Watch',
			'Fresnel'
		]);
		const { profile, unstated } = packOf('tin');
		expect(profile.groups).toEqual([]);
		expect(unstated.map(({ name }) => name)).toContain('Base and Storm Watch');
	});
});

describe('what a release says of its packs', () => {
	const told = (
		pack: Partial<PackTypeDraft>,
		sections: Readonly<Record<string, Partial<SectionDraft>>>,
		parallels: readonly ParallelDraft[] = []
	) => {
		const outcome = resolveRelease({
			release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
			packTypes: [{ key: 'hobby', name: 'Hobby', ...pack }],
			sections: Object.entries(sections).map(([name, more]) => ({
				...{ name, kind: name === 'Base' ? ('base' as const) : ('insert' as const) },
				...{ cards: cards(10, name === 'Base' ? '' : name), ...more }
			})),
			parallels
		});
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		const { profile } = profileOfRelease(outcome.value, at(outcome.value.packTypes, 0), () => 1);
		expect(checkProfile(profile)).toEqual([]);
		return {
			groups: profile.groups.map(({ key, comes, slot, takesPlaceOf }) =>
				[
					key,
					comes.sort === 'count' ? `${comes.count} a pack` : `${comes.cards}:${comes.packs}`,
					...(slot ? [slot] : []),
					...(takesPlaceOf ? [`for ${takesPlaceOf}`] : [])
				].join(', ')
			),
			guarantees: profile.guarantees
		};
	};

	test.each([
		// Common practice, no source: two base cards and sometimes an insert; nine base cards and an insert.
		[2, '2:1', '1:3', ['Base, 2 a pack', 'F, 1:3, place 1, for Base']],
		[3, '2:1', '1:3', ['Base, 2 a pack', 'F, 1:3, place 1']],
		[10, '9:1', '1:1', ['Base, 9 a pack', 'F, 1 a pack']],
		[undefined, '2:1', '1:3', ['Base, 2 a pack', 'F, 1:3, place 1']]
	])('%s cards a pack, base %s, insert %s', (cardsPerPack, base, insert, groups) => {
		const pack = cardsPerPack === undefined ? {} : { cardsPerPack };
		const sections = { Base: { odds: { hobby: base } }, F: { odds: { hobby: insert } } };
		expect(told(pack, sections).groups).toEqual(groups);
	});

	test('a section says whose place it takes, or that it comes on top', () => {
		const sections = {
			Base: {},
			F: { odds: { hobby: '2:1' } },
			G: { odds: { hobby: '1:6' }, takesPlaceOf: 'f' },
			S: { odds: { hobby: '1:2' }, takesPlaceOf: null },
			T: { odds: { hobby: '1:4' } }
		};
		expect(told({ cardsPerPack: 8 }, sections).groups).toEqual([
			'Base, 6 a pack',
			'F, 2 a pack',
			'G, 1:6, place 3, for F',
			'S, 1:2, place 1',
			'T, 1:4, place 2, for Base'
		]);
	});

	test('what every box holds for certain has a place of its own; odds that nobody states follow from it', () => {
		const sections = {
			Base: {},
			F: {},
			G: { cards: cards(5, 'G') },
			K: { odds: { hobby: '1:12' } }
		};
		const brass = [{ name: 'Brass', runs: [{ sections: ['base'] }] }];
		const guarantees = [
			{ count: 3, sections: ['f', 'g'] },
			{ count: 1, parallels: ['brass'] }
		];
		const pack = { cardsPerPack: 8, packsPerBox: 36, guarantees };
		expect(told(pack, sections, brass)).toEqual({
			groups: [
				'Base, 8 a pack',
				'Base, Brass, 10:360, place 3, for Base',
				'F, 30:540, place 2, for Base',
				'G, 15:540, place 2, for Base',
				'K, 1:12, place 1, for Base'
			],
			guarantees: [
				{ slot: 'place 2', count: 3 },
				{ slot: 'place 3', count: 1 }
			]
		});
		// Of a guarantee the stated odds leave the rest to what has none.
		const some = { ...sections, G: { odds: { hobby: '1:18' } } };
		expect(told(pack, some, brass).groups.slice(2, 4)).toEqual([
			'F, 10:360, place 2, for Base',
			'G, 1:18, place 2, for Base'
		]);
	});
});
