import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { dealLots, roundAsking, type LotRules, type SaleCards } from './deal-lots.ts';
import { whatMayGo, type OwnedCopy } from './what-may-go.ts';

const cards = (
	key: string,
	eachMinor: number | null,
	more: Partial<SaleCards> = {}
): SaleCards => ({
	...{ key, release: 'Gulls', group: 'Base', isBase: true, quantity: 1, eachMinor },
	...more
});
const RULES: LotRules = {
	bands: [
		{ fromMinor: 10, channel: 'fair', as: 'lot', mostCards: 3 },
		{ fromMinor: 100, channel: 'market', as: 'single', mostCards: 1 },
		{ fromMinor: 5000, channel: 'auction', as: 'single', mostCards: 1 }
	],
	...{ askShare: 1.1, floorShare: 0.8, lotShare: 0.5, unpricedMinor: null }
};

describe('lots and singles', () => {
	test.each<[string, readonly SaleCards[], Partial<LotRules>, object]>([
		['nothing', [], {}, { lots: [], unpriced: [] }],
		[
			// By hand: 240 × 1.1 = 264, up to the next 25; 240 × 0.8.
			'a band begins at its value',
			[cards('a', 99), cards('b', 100), cards('c', 240), cards('d', 5000)],
			{},
			{
				lots: [
					{ channel: 'auction', askMinor: 5500, floorMinor: 4000 },
					{ channel: 'market', cards: [{ key: 'c' }], askMinor: 275, floorMinor: 192 },
					{ channel: 'market', cards: [{ key: 'b' }], askMinor: 125 },
					// A lot of one card is a single.
					{ channel: 'fair', as: 'single', cards: [{ key: 'a' }] }
				]
			}
		],
		[
			'what is worth less than the first band goes by it; seven in three even lots',
			[cards('a', 3, { quantity: 6 }), cards('b', 4)],
			{},
			{ lots: [{ count: 3 }, { count: 2 }, { count: 2 }] }
		],
		[
			'lots are of one release',
			[cards('a', 3), cards('b', 3, { release: 'Moths' }), cards('c', 3)],
			{},
			{
				lots: [
					{ count: 2, release: 'Gulls' },
					{ count: 1, release: 'Moths' }
				]
			}
		],
		[
			'without a price nothing is dealt, but told',
			[cards('a', null, { quantity: 2 })],
			{},
			{ lots: [], unpriced: [{ key: 'a', quantity: 2 }] }
		],
		[
			'a base card may count as something, an insert never does',
			[cards('a', null, { quantity: 2 }), cards('i', null, { isBase: false })],
			{ unpricedMinor: 4 },
			{
				lots: [{ count: 2, worthMinor: 8, assumedMinor: 8 }],
				unpriced: [{ key: 'i', quantity: 1 }]
			}
		]
	])('%s', (_, going, changed, holds) => {
		expect(dealLots(going, { ...RULES, ...changed })).toMatchObject(holds);
	});

	test('for all cards: each is dealt once or told, no lot is too large, and even; the floor is no more than what is asked', () => {
		const some = fc.array(
			fc.record({
				eachMinor: fc.option(fc.integer({ min: 0, max: 9000 })),
				quantity: fc.integer({ min: 1, max: 7 }),
				isBase: fc.boolean(),
				release: fc.constantFrom('Gulls', 'Moths')
			}),
			{ maxLength: 12 }
		);
		fc.assert(
			fc.property(some, fc.option(fc.integer({ min: 0, max: 300 })), (said, unpricedMinor) => {
				const going = said.map((each, i) => cards(`${i}`, each.eachMinor, each));
				const { lots, unpriced } = dealLots(going, { ...RULES, unpricedMinor });
				const dealt = new Map<string, number>();
				for (const { key, quantity } of [...lots.flatMap((lot) => lot.cards), ...unpriced]) {
					dealt.set(key, (dealt.get(key) ?? 0) + quantity);
				}
				expect(Object.fromEntries(dealt)).toEqual(
					Object.fromEntries(going.map(({ key, quantity }) => [key, quantity]))
				);
				for (const lot of lots) {
					expect(lot.count).toBeLessThanOrEqual(lot.as === 'single' ? 1 : 3);
					expect(lot.floorMinor).toBeLessThanOrEqual(lot.askMinor);
					expect(lot.askMinor % 5).toBe(0);
				}
				for (const release of ['Gulls', 'Moths']) {
					const counts = lots
						.filter((lot) => lot.channel === 'fair' && lot.release === release)
						.map(({ count }) => count);
					if (counts.length > 0) {
						expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
					}
				}
			})
		);
	});

	test('bands that do not rise, or none, are refused; a price is never rounded down', () => {
		expect(() => dealLots([], { ...RULES, bands: [] })).toThrow(/no band/);
		expect(() => dealLots([], { ...RULES, bands: [...RULES.bands].reverse() })).toThrow(
			/bands 5000/
		);
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 100_000 }), (minor) => {
				expect(roundAsking(minor)).toBeGreaterThanOrEqual(minor);
				expect(roundAsking(roundAsking(minor))).toBe(roundAsking(minor));
			})
		);
	});
});

describe('what may go', () => {
	const copy = (more: Partial<OwnedCopy>): OwnedCopy => ({
		...{ version: 'v', isBase: true, status: 'kept', quantity: 1, needed: 0, rank: 0 },
		...more
	});
	const both = { sellsInserts: true, sellsDoubles: true };
	const neither = { sellsInserts: false, sellsDoubles: false };
	test.each<[string, readonly OwnedCopy[], typeof both, readonly number[]]>([
		['● base is kept, inserts and parallels go', [copy({}), copy({ isBase: false })], both, [0, 1]],
		['unless they belong to a set', [copy({ isBase: false, quantity: 3, needed: 1 })], both, [2]],
		['the rules may keep all', [copy({ quantity: 3 }), copy({ isBase: false })], neither, [0, 0]],
		['doubles beyond the first', [copy({ quantity: 3 })], both, [2]],
		['the better one is kept', [copy({ rank: 1 }), copy({ rank: 2 })], both, [1, 0]],
		['where a goal has one, none is kept beside it', [copy({ needed: 1 }), copy({})], both, [0, 1]],
		['to sell goes in any case', [copy({ status: 'to sell', needed: 1 })], neither, [1]],
		[
			'a spare as far as no goal needs it',
			[copy({ status: 'spare', quantity: 2, needed: 1 })],
			neither,
			[1]
		],
		['a spare beside nothing kept goes, too', [copy({ status: 'spare' })], both, [1]],
		['on its way it stays', [copy({ status: 'incoming', isBase: false })], both, [0]]
	])('%s', (_, copies, rules, counts) => {
		const going = whatMayGo(copies, rules);
		expect(copies.map((each) => going.find((some) => some.copy === each)?.quantity ?? 0)).toEqual(
			counts
		);
	});
});
