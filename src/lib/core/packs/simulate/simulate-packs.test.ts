import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, test } from 'vitest';
import { packOdds } from '../odds/pack-odds.ts';
import { each, group, odds, profileOf } from '../profile/packs.fixture.ts';
import type { PackProfile } from '../profile/pack-profile.ts';
import { simulatePacks, type Simulation } from './simulate-packs.ts';

const seeded = (seed: number) => {
	const generator = xoroshiro128plus(seed);
	return () => uniformFloat64(generator);
};
const NO_TRADES = { isWithinGroup: false, othersFor: {} };
const simulate = (
	profile: PackProfile,
	{ seed = 1, ...more }: Partial<Simulation> & { readonly seed?: number } = {}
) => {
	const asked = {
		...{ parts: [{ profile, packs: 1 }], runs: 4000, most: 1e6, trades: NO_TRADES },
		...more
	};
	const work = simulatePacks(asked, seeded(seed));
	for (;;) {
		const { value, done } = work.next();
		if (done) return value;
	}
};

describe('agrees with the formulas within four standard errors', () => {
	test.each<[string, PackProfile]>([
		['singly drawn', profileOf([group('base', 20, each(1))])],
		['nine different of 60', profileOf([group('base', 60, each(9))])],
		['five of 30, perhaps the same', profileOf([group('base', 30, each(5, false))])],
		[
			'short prints at their own odds inside the base',
			profileOf([group('base', 40, each(8)), group('short', 4, odds(8), { takesPlaceOf: 'base' })])
		],
		[
			'a master set: inserts share a place, and five cards at 1:100',
			profileOf([
				group('base', 50, each(9)),
				group('easy', 15, odds(3), { slot: 'insert', takesPlaceOf: 'base' }),
				group('hard', 5, odds(30), { slot: 'insert', takesPlaceOf: 'base' }),
				group('hit', 3, odds(100))
			])
		],
		[
			'unequal odds, some twice, some here',
			profileOf([
				group(
					'base',
					[
						{ cards: 10, weight: 3, lacking: 1 },
						{ cards: 3, weight: 1, lacking: 2 },
						{ cards: 4, weight: 2, lacking: 0 }
					],
					each(1)
				)
			])
		],
		['rare odds are skipped to', profileOf([group('rare', 8, odds(5000))])]
	])('%s', (_, profile) => {
		const { goal } = packOdds(profile, 1);
		for (const seed of [11, 12]) {
			const found = simulate(profile, { seed });
			expect(found.complete).toBe(4000);
			const off = Math.abs((found.mean ?? NaN) - (goal.packsToComplete ?? NaN));
			expect(off / (found.standardError ?? NaN), `seed ${seed}`).toBeLessThan(4);
		}
	});

	test('a guarantee by the box: the chance to be complete after whole boxes', () => {
		const profile = profileOf([group('hit', 4, odds(9), { slot: 'hit' })], {
			...{ guarantees: [{ slot: 'hit', count: 2 }], packsPerBox: 6 }
		});
		for (const packs of [12, 18, 21]) {
			const right = packOdds(profile, packs).goal.chanceComplete;
			const { complete, runs } = simulate(profile, { most: packs, seed: packs });
			const error = Math.sqrt((right * (1 - right)) / runs);
			expect(Math.abs(complete / runs - right)).toBeLessThan(4 * error);
		}
	});
});

test('trades end it sooner: one for one, then several of others for the hard ones', () => {
	const profile = profileOf([group('base', 30, each(5)), group('hard', 6, odds(20))]);
	const alone = simulate(profile, { runs: 500 });
	const within = simulate(profile, {
		...{ runs: 500, trades: { isWithinGroup: true, othersFor: {} } }
	});
	const all = simulate(profile, {
		...{ runs: 500, trades: { isWithinGroup: true, othersFor: { hard: 10 } } }
	});
	expect(within.mean ?? NaN).toBeLessThan((alone.mean ?? NaN) - 50);
	// 30 cards and ten for each of six hard ones: some 90 cards in all.
	expect(all.median).toBeGreaterThanOrEqual(14);
	expect(all.median).toBeLessThanOrEqual(18);
	// One group, one for one: complete with as many copies as cards.
	const single = simulate(profileOf([group('base', 30, each(5))]), {
		...{ runs: 50, trades: { isWithinGroup: true, othersFor: {} } }
	});
	expect([single.low, single.high]).toEqual([6, 6]);
});

test('a format of two ordinary packs and a bonus pack is opened as one', () => {
	const usual = profileOf([group('base', 20, each(5))]);
	const bonus = profileOf([group('base', 20, each(1)), group('foil', 3, each(1))]);
	const found = simulate(usual, {
		parts: [
			{ profile: usual, packs: 2 },
			{ profile: bonus, packs: 1 }
		]
	});
	// Three foils, one an opening: 3·H(3) = 5.5 at least.
	expect(found.mean ?? NaN).toBeGreaterThan(5.5);
	expect(found.doubles.map(({ key }) => key)).toEqual(['base', 'foil']);
	expect(found.histogram.reduce((sum, { runs }) => sum + runs, 0)).toBe(4000);
});

test('what cannot end ends at the most; nothing lacking takes no pack; the same seed says the same', () => {
	const never = profileOf([
		group(
			'base',
			[
				{ cards: 2, weight: 1, lacking: 1 },
				{ cards: 1, weight: 0, lacking: 1 }
			],
			each(1)
		)
	]);
	expect(simulate(never, { runs: 20, most: 50 })).toMatchObject({
		...{ runs: 20, complete: 0, mean: null, low: null, histogram: [] }
	});
	const none = profileOf([group('base', [{ cards: 5, weight: 1, lacking: 0 }], each(2))]);
	expect(simulate(none, { runs: 20 })).toMatchObject({ complete: 20, mean: 0, high: 0 });
	const profile = profileOf([group('base', 20, each(3))]);
	expect(simulate(profile, { seed: 7 })).toEqual(simulate(profile, { seed: 7 }));
	expect(simulate(profile, { seed: 7 })).not.toEqual(simulate(profile, { seed: 8 }));
});
