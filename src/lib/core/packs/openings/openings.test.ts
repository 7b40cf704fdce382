import fc from 'fast-check';
import { sum } from 'd3-array';
import { describe, expect, test } from 'vitest';
import { each, group, odds, profileOf } from '../profile/packs.fixture.ts';
import { costPerNew } from './cost-per-new.ts';
import { pullsOf, type OpenedPile } from './opened-pile.ts';
import { realisedOdds } from './realised-odds.ts';
import { shareOut, type SharedCard } from './share-out.ts';
import { formatShareRules, parseShareRules } from './share-rules.ts';

const pile = (
	packs: number,
	pulls: Readonly<Record<string, readonly [quantity: number, fresh: number]>>
): OpenedPile => ({
	packs,
	pulls: Object.entries(pulls).map(([version, [quantity, fresh]]) => ({ version, quantity, fresh }))
});

test('the first copy of a version is new, if none was here', () => {
	const additions = [
		{ version: 'a', quantity: 1 },
		{ version: 'b', quantity: 2 },
		{ version: 'a', quantity: 1 }
	];
	expect(pullsOf(additions, new Map([['b', 1]]))).toEqual([
		{ version: 'a', quantity: 2, fresh: 1 },
		{ version: 'b', quantity: 2, fresh: 0 }
	]);
});

describe('cost per new card', () => {
	test('looks back over a dozen packs, or the last pile', () => {
		const piles = [
			pile(1, { a: [10, 9] }),
			pile(1, { b: [10, 5] }),
			pile(12, { c: [60, 0] }),
			pile(36, { d: [200, 20] })
		];
		expect(costPerNew(piles, 300)).toEqual([
			{ packs: 1, cards: 10, fresh: 9, freshAPack: 9, costPerNewMinor: 300 / 9 },
			{ packs: 2, cards: 20, fresh: 14, freshAPack: 7, costPerNewMinor: 600 / 14 },
			{ packs: 14, cards: 80, fresh: 14, freshAPack: 0, costPerNewMinor: null },
			{ packs: 50, cards: 280, fresh: 34, freshAPack: 20 / 36, costPerNewMinor: (300 * 36) / 20 }
		]);
	});
	test('without a price, and without packs', () => {
		expect(costPerNew([pile(1, { a: [1, 1] })], null)[0]?.costPerNewMinor).toBeNull();
		expect(costPerNew([], 300)).toEqual([]);
	});
});

describe('realised odds', () => {
	const profile = profileOf(
		[
			group('base', 40, each(5)),
			group('insert', 10, odds(3), { slot: 'a', takesPlaceOf: 'base' }),
			group('hit', 4, odds(18), { slot: 'b' })
		],
		{ packsPerBox: 18, guarantees: [{ slot: 'b', count: 1 }] }
	);
	const pack = {
		profile,
		unstated: [{ name: 'Posters', versions: ['poster'] }],
		groups: profile.groups.map(({ key }) => ({
			key,
			name: key.toUpperCase(),
			versions: [`${key}-1`, `${key}-2`]
		}))
	};

	// Common practice, no source: 1:3 gives 33 to 40 in a hundred packs; 33.3 on average.
	test('one in three in a hundred packs, beside what every box holds', () => {
		const { lines, strangers, unstated, packs, cards } = realisedOdds(pack, [
			pile(60, { 'base-1': [280, 1], 'insert-1': [20, 1], 'hit-2': [3, 1] }),
			pile(30, {
				'base-2': [138, 1],
				'insert-2': [12, 1],
				'hit-1': [2, 1],
				promo: [1, 1],
				poster: [2, 1]
			})
		]);
		expect([packs, cards]).toEqual([90, 458]);
		expect(
			lines.map(({ name, found, expected, low, high, perBox }) => ({
				...{ name, found, perBox, low, high },
				expected: Number(expected.toFixed(6))
			}))
		).toEqual([
			// 90 packs of five, of which about thirty give a place away.
			{ name: 'BASE', found: 418, perBox: null, low: 411, high: 429, expected: 420 },
			{ name: 'INSERT', found: 32, perBox: null, low: 21, high: 39, expected: 30 },
			{ name: 'HIT', found: 5, perBox: 1, low: 5, high: 5, expected: 5 }
		]);
		expect(lines.map(({ fit }) => fit?.verdict ?? null)).toEqual([null, 'as stated', null]);
		expect(strangers).toEqual([{ version: 'promo', quantity: 1 }]);
		expect(unstated).toEqual([{ version: 'poster', quantity: 2 }]);
	});

	test('nothing opened, and more than packs', () => {
		expect(realisedOdds(pack, []).lines.map(({ found, expected }) => [found, expected])).toEqual([
			...[
				[0, 0],
				[0, 0],
				[0, 0]
			]
		]);
		const { lines } = realisedOdds(pack, [pile(30, { 'insert-1': [31, 1] })]);
		expect(lines[1]).toMatchObject({ found: 31, fit: { verdict: 'more than stated' } });
	});
});

describe('sharing out', () => {
	const groups = ['Lighthouses', 'Ferries; fast', 'Keepers'];
	const rulesOf = (text: string) => {
		const read = parseShareRules(text, groups);
		if (!read.ok) throw new RangeError(JSON.stringify(read.problems));
		return read.value;
	};
	const card = (
		version: string,
		group: string | null,
		valueMinor: number | null = null,
		quantity = 1
	): SharedCard => ({
		...{ version, group, valueMinor, quantity }
	});

	test('by the group on each card; the rest in turn, the dearest first', () => {
		const rules = rulesOf('Ada: lighthouses\nBo: Ferries\\; fast; Keepers');
		const cards = [
			card('l', 'Lighthouses', 50, 2),
			card('k', 'Keepers'),
			card('x', null, 10),
			card('y', 'Storms', 400),
			card('z', null, 200)
		];
		expect(shareOut(cards, rules)).toEqual([
			{
				...{ name: 'Ada', count: 4, valueMinor: 510, unpriced: 0 },
				cards: [
					{ version: 'l', quantity: 2, because: 'group' },
					{ version: 'y', quantity: 1, because: 'rest' },
					{ version: 'x', quantity: 1, because: 'rest' }
				]
			},
			{
				...{ name: 'Bo', count: 2, valueMinor: 200, unpriced: 1 },
				cards: [
					{ version: 'k', quantity: 1, because: 'group' },
					{ version: 'z', quantity: 1, because: 'rest' }
				]
			}
		]);
		const [ada, bo] = shareOut(cards, rulesOf('Ada: Lighthouses\nBo: Keepers\nrest: bo'));
		expect([ada?.count, bo?.count]).toEqual([2, 4]);
	});

	test('for all cards and rules: each copy goes to one person, and written rules are read back', () => {
		const names = fc.uniqueArray(fc.constantFrom('Ada', 'Bo', 'Cy', 'Dee'), {
			minLength: 2,
			maxLength: 4
		});
		const drawn = fc.record({
			names,
			takers: fc.array(fc.nat(5), { minLength: 3, maxLength: 3 }),
			heir: fc.nat(5),
			cards: fc.array(
				fc.record({
					version: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
					quantity: fc.integer({ min: 1, max: 9 }),
					group: fc.constantFrom(null, 'Storms', ...groups),
					valueMinor: fc.option(fc.nat(1000))
				})
			)
		});
		fc.assert(
			fc.property(drawn, ({ names: people, takers, heir, cards }) => {
				const name = people[heir];
				const rules = {
					sharers: people.map((person, p) => ({
						name: person,
						groups: groups.filter((_, g) => takers[g] === p)
					})),
					rest: name === undefined ? { sort: 'in turn' as const } : { sort: 'to' as const, name }
				};
				expect(rulesOf(formatShareRules(rules))).toEqual(rules);
				const shares = shareOut(cards, rules);
				expect(sum(shares, ({ count }) => count)).toBe(sum(cards, ({ quantity }) => quantity));
				for (const { count, cards: got } of shares)
					expect(sum(got, ({ quantity }) => quantity)).toBe(count);
				if (rules.rest.sort === 'in turn') {
					const rests = shares.map(({ cards: got }) =>
						sum(got, ({ because, quantity }) => (because === 'rest' ? quantity : 0))
					);
					expect(Math.max(...rests) - Math.min(...rests)).toBeLessThanOrEqual(1);
				}
			})
		);
	});

	test.each([
		['', /two or more/],
		['Ada: Keepers', /two or more/],
		['Ada: Keepers\nBo: Gulls', /no card bears the group "Gulls"/],
		['Ada: Keepers\nBo: keepers', /Keepers goes to Ada already/],
		['Ada: Keepers\nAda: Lighthouses\nBo:', /Ada stands twice/],
		['Ada Keepers\nBo:\nCy:', /says not who gets what/],
		['Ada:\nBo:\nrest: Cy', /the rest cannot go to "Cy"/],
		['Ada:\nBo:\nrest: Ada\nrest: Bo', /the rest is said twice/]
	])('%j is told', (text, message) => {
		const read = parseShareRules(text, groups);
		expect(read.ok ? [] : read.problems.map((problem) => problem.message)).toEqual(
			expect.arrayContaining([expect.stringMatching(message)])
		);
	});
});
