import { describe, expect, test } from 'vitest';
import { cardsAPack, slotsOf } from './pack-profile.ts';
import { resolveProfile, type RawGroup, type RawProfile } from './resolve-profile.ts';

const base: RawGroup = { key: 'base', cards: 100, comes: { sort: 'count', count: 9 } };
const insert = (more: Partial<RawGroup> = {}): RawGroup => ({
	...{ key: 'insert', cards: 15, comes: { sort: 'odds', cards: 1, packs: 6 } },
	...more
});
const told = (raw: RawProfile) => {
	const outcome = resolveProfile(raw);
	return outcome.ok ? [] : outcome.problems.map(({ pointer, message }) => `${pointer}: ${message}`);
};

test('what is left out is filled in once', () => {
	const outcome = resolveProfile({
		groups: [
			{ ...base, owned: 40, sets: 2 },
			insert({ classes: [{ cards: 3 }], cards: undefined } as Partial<RawGroup>)
		]
	});
	expect(outcome.ok && outcome.value.groups).toEqual([
		{
			key: 'base',
			comes: { sort: 'count', count: 9, isAllDifferent: true },
			classes: [
				{ cards: 60, weight: 1, lacking: 2 },
				{ cards: 40, weight: 1, lacking: 1 }
			]
		},
		{
			key: 'insert',
			comes: { sort: 'odds', cards: 1, packs: 6 },
			classes: [{ cards: 3, weight: 1, lacking: 1 }]
		}
	]);
});

// Common practice, no source: ● a pack of 10 holds 9 base cards and an insert; small packs 2 and sometimes an insert.
test('a pack of ten: nine base cards and an insert; a small one: two, one of which an insert may be', () => {
	const every = insert({ comes: { sort: 'odds', cards: 1, packs: 1 } });
	const ten = resolveProfile({ groups: [base, every], cardsPerPack: 10 });
	expect(ten.ok && cardsAPack(ten.value)).toBe(10);
	const two: RawGroup = { ...base, comes: { sort: 'count', count: 2 } };
	const small = resolveProfile({
		groups: [two, insert({ takesPlaceOf: 'base' })],
		cardsPerPack: 2
	});
	expect(small.ok && cardsAPack(small.value)).toBe(2);
	expect(small.ok && slotsOf(small.value)).toMatchObject([
		{ name: 'only insert', perBox: null, takesPlaceOf: 'base' }
	]);
});

describe('what cannot be is named with its place, all at once', () => {
	test.each<[string, RawProfile, readonly string[]]>([
		[
			'odds above the pack',
			{ groups: [insert({ comes: { sort: 'odds', cards: 7, packs: 6 } })] },
			['/groups/0/comes: 7:6 is more than a card a pack']
		],
		[
			'two inserts of one place',
			{
				groups: [
					insert({ comes: { sort: 'odds', cards: 2, packs: 3 }, slot: 's' }),
					insert({ key: 'b', comes: { sort: 'odds', cards: 1, packs: 2 }, slot: 's' })
				]
			},
			['/groups/0/comes: together the odds of one place are more than a card a pack']
		],
		[
			'more than the pack holds',
			{ groups: [base, insert()], cardsPerPack: 9 },
			['/cardsPerPack: a pack of 9 would hold 9.17 on average']
		],
		[
			'more different cards than there are',
			{ groups: [{ ...base, cards: 5 }] },
			['/groups/0/comes/count: 9 different cards cannot be of 5']
		],
		[
			'places that are not there',
			{
				groups: [
					base,
					insert({ takesPlaceOf: 'bass' }),
					insert({ key: 'b', slot: 's', takesPlaceOf: 'base' }),
					insert({ key: 'c', slot: 's' })
				]
			},
			[
				'/groups/1/takesPlaceOf: no group "bass" comes in every pack',
				'/groups/2/takesPlaceOf: groups of the slot "s" take different places'
			]
		],
		[
			'more places taken than there are',
			{
				groups: [
					{ ...base, comes: { sort: 'count', count: 1 } },
					insert({ takesPlaceOf: 'base' }),
					insert({ key: 'b', takesPlaceOf: 'base' })
				]
			},
			['/groups/0/comes/count: 2 slots take the places of 1 cards of "base"']
		],
		[
			'guarantees',
			{
				groups: [insert({ slot: 's' })],
				guarantees: [
					{ slot: 't', count: 1 },
					{ slot: 's', count: 40 }
				],
				packsPerBox: 36
			},
			['/guarantees/0/slot: no group has the slot "t"', '/guarantees/1/count: 40 a box of 36 packs']
		],
		[
			'a guarantee without a box',
			{ groups: [insert({ slot: 's' })], guarantees: [{ slot: 's', count: 1 }] },
			['/guarantees/0: nobody says how many packs a box has']
		],
		[
			'cards said twice, not at all, or more here than there are',
			{
				groups: [
					{ ...base, classes: [{ cards: 3 }] },
					{ key: 'b', comes: base.comes },
					{ ...base, key: 'c', owned: 101 }
				]
			},
			[
				'/groups/0/cards: classes say how many cards there are; cards says it again',
				'/groups/1: nobody says how many cards it has',
				'/groups/2/owned: 101 of 100 cards are here'
			]
		],
		[
			'a key twice, a slot of what comes in every pack',
			{ groups: [base, { ...base, slot: 's' }] },
			[
				'/groups/1/key: "base" stands twice',
				'/groups/1/slot: "base" comes in every pack: it shares no place and takes none'
			]
		]
	])('%s', (_, raw, expected) => {
		expect(told(raw)).toEqual(expected);
	});
});
