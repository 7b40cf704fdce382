import { describe, expect, test } from 'vitest';
import { each, group, odds, profileOf } from '../profile/packs.fixture.ts';
import { checkProfile, type PackProfile } from '../profile/pack-profile.ts';
import { everyPack } from './every-pack.fixture.ts';
import { packOdds } from './pack-odds.ts';

const PACKS = 6;

/** Small profiles of every kind, each exact. */
const SMALL: readonly (readonly [string, PackProfile])[] = [
	['single draws', profileOf([group('base', 4, each(1))])],
	['two different a pack', profileOf([group('base', 5, each(2))])],
	['two a pack, perhaps the same', profileOf([group('base', 4, each(2, false))])],
	[
		'some are here already',
		profileOf([
			group(
				'base',
				[
					{ cards: 3, weight: 1, lacking: 1 },
					{ cards: 2, weight: 1, lacking: 0 }
				],
				each(2)
			)
		])
	],
	[
		'unequal odds, one wanted twice',
		profileOf([
			group(
				'base',
				[
					{ cards: 2, weight: 2, lacking: 1 },
					{ cards: 1, weight: 1, lacking: 2 }
				],
				each(2, false)
			)
		])
	],
	['odds', profileOf([group('insert', 3, odds(2))])],
	['two in three packs', profileOf([group('insert', 2, odds(3, 2))])],
	[
		'an insert takes the place of a base card',
		profileOf([group('base', 4, each(2)), group('insert', 2, odds(3), { takesPlaceOf: 'base' })])
	],
	[
		'two inserts share the place',
		profileOf([
			group('base', 3, each(2)),
			group('common', 2, odds(3), { slot: 'chase', takesPlaceOf: 'base' }),
			group('rare', 1, odds(6), { slot: 'chase', takesPlaceOf: 'base' })
		])
	],
	[
		'places of their own are independent',
		profileOf([group('base', 3, each(1)), group('a', 2, odds(2)), group('b', 1, odds(4))])
	],
	[
		'two inserts in every box of three packs',
		profileOf(
			[
				group('base', 4, each(2)),
				group('common', 2, odds(3), { slot: 'chase', takesPlaceOf: 'base' }),
				group('rare', 1, odds(6), { slot: 'chase', takesPlaceOf: 'base' })
			],
			{ guarantees: [{ slot: 'chase', count: 2 }], packsPerBox: 3 }
		)
	],
	[
		'a hit in every box of four, beside the base',
		profileOf([group('hit', 3, odds(9), { slot: 'hit' })], {
			...{ guarantees: [{ slot: 'hit', count: 1 }], packsPerBox: 4 }
		})
	]
];

describe('what packs promise, against every pack that can be', () => {
	test.each(SMALL)('%s', (_, profile) => {
		expect(checkProfile(profile)).toEqual([]);
		const told = everyPack(profile, PACKS);
		const points = [...told.keys()];
		const found = packOdds(profile, PACKS, points);
		for (const [g, { key, missing, chanceComplete }] of found.curves.entries()) {
			for (const m of points) {
				const right = told[m]?.groups[g];
				expect(missing[m], `${key}, ${m} packs`).toBeCloseTo(right?.missing ?? NaN, 12);
				expect(chanceComplete[m], `${key}, ${m} packs`).toBeCloseTo(right?.complete ?? NaN, 12);
			}
		}
		expect(found.goal.isExact).toBe(true);
		for (const m of points) {
			expect(found.goal.chances[m], `${m} packs`).toBeCloseTo(told[m]?.complete ?? NaN, 12);
		}
		for (const { isExact, expected, found: new_, doubles } of found.groups) {
			expect(isExact).toBe(true);
			expect(new_ + doubles).toBeCloseTo(expected, 9);
		}
	});

	test.each(SMALL.filter(([, { guarantees }]) => guarantees.length === 0))(
		'packs to complete: %s',
		(_, profile) => {
			// The sum of the chances that something is lacking, gone on with as it falls.
			const far = 40;
			const told = everyPack(profile, far);
			const open = told.map(({ complete }) => 1 - complete);
			const [last = 0, before = 1] = [open[far], open[far - 1]];
			const sum = open.reduce((all, chance) => all + chance, 0) - last;
			const right = sum + last / (1 - last / before);
			const { goal, groups } = packOdds(profile, 1);
			expect(Math.abs((goal.packsToComplete ?? NaN) - right) / right).toBeLessThan(2e-3);
			if (groups.length === 1) expect(goal.packsToComplete).toBeCloseTo(right, 4);
		}
	);
});

test('different cards a pack of unequal odds are reckoned as drawn singly, and it says so', () => {
	const classes = [
		{ cards: 3, weight: 2, lacking: 1 },
		{ cards: 2, weight: 1, lacking: 1 }
	];
	const profile = profileOf([group('base', classes, each(2))]);
	const found = packOdds(profile, 4, [4]);
	expect([found.groups[0]?.isExact, found.goal.isExact]).toEqual([false, false]);
	const right = everyPack(profile, 4)[4]?.groups[0]?.complete ?? NaN;
	// Singly drawn cards repeat more: the chance is told a little too low.
	expect(found.groups[0]?.chanceComplete).toBeLessThan(right);
});

test('nothing wanted is complete; what never comes never is; no packs bring nothing', () => {
	const none = [{ cards: 5, weight: 1, lacking: 0 }];
	const done = packOdds(profileOf([group('base', none, each(2))]), 3);
	expect(done.goal).toMatchObject({ chanceComplete: 1, packsToComplete: 0, isExact: true });
	expect(done.groups[0]).toMatchObject({ expected: 6, doubles: 6, chanceMissing: null });
	const never = [
		{ cards: 2, weight: 1, lacking: 1 },
		{ cards: 1, weight: 0, lacking: 1 }
	];
	const open = packOdds(profileOf([group('base', never, each(1))]), 100);
	expect(open.goal).toMatchObject({ chanceComplete: 0, packsToComplete: null });
	expect(open.groups[0]?.chanceMissing).toBe(1);
	expect(packOdds(profileOf([group('base', 4, each(2))]), 0).groups[0]).toMatchObject({
		...{ expected: 0, distinct: 0, missing: 4, doubles: 0, chanceComplete: 0 }
	});
});

// Common practice, no source: ● 1:3 gives 33 to 40 in a box of 100 packs.
test('1:3 gives 33.3 in 100 packs; people see 33 to 40 in half of all boxes', () => {
	const profile = profileOf([group('insert', 15, odds(3))]);
	const [insert] = packOdds(profile, 100).groups;
	expect(insert?.expected).toBeCloseTo(100 / 3, 12);
	expect([insert?.low, insert?.high]).toEqual([26, 41]);
	expect(insert?.chanceOfRange).toBeGreaterThan(0.9);
});

// Common practice, no source: ● a pack of 10 holds 9 base cards and an insert.
test('a large set keeps its digits: 1,000 cards at 1:100,000', () => {
	const profile = profileOf([group('rare', 1000, odds(100_000))]);
	const harmonic = Array.from({ length: 1000 }, (_, i) => 1 / (1000 - i)).reduce((a, b) => a + b);
	const { groups, goal } = packOdds(profile, 1_000_000);
	expect((goal.packsToComplete ?? NaN) / (1e8 * harmonic)).toBeCloseTo(1, 11);
	expect(groups[0]?.expected).toBeCloseTo(10, 9);
	expect(groups[0]?.missing).toBeCloseTo(1000 * Math.exp(1e6 * Math.log1p(-1e-8)), 9);
});
