import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { everyCard, everyState } from '../odds/every-pack.fixture.ts';
import { each, group, odds, profileOf } from '../profile/packs.fixture.ts';
import type { PackProfile } from '../profile/pack-profile.ts';
import { stopCards } from './stop-cards.ts';
import { stopPlan, whenToStop, type PackOption } from './when-to-stop.ts';
import type { PricedClass } from './stop-cards.ts';

const option = (profile: PackProfile, more: Partial<PackOption> = {}): PackOption => ({
	...{ key: 'hobby', profile, priceMinor: 100, packsTogether: 1, most: 60 },
	...more
});
const priced = (
	profile: PackProfile,
	prices: Readonly<Record<string, readonly [single: number, extra: number]>>
) =>
	new Map(
		profile.groups.map(({ key, classes }) => [
			key,
			classes.map((part): PricedClass => {
				const [singleMinor = 0, extraMinor = 0] = prices[key] ?? [];
				return { ...part, singleMinor, extraMinor };
			})
		])
	);

describe('a format of two kinds, against every pack that can be', () => {
	test('the same cards in groups of their own', () => {
		const plain = profileOf([group('base', 3, each(2))]);
		const bonus = profileOf([group('shiny', 2, each(1)), group('insert', 2, odds(3))]);
		// Card 0 is in both kinds, 1 and 2 in the plain one, the other of the shiny ones in the bonus pack alone, as are the inserts.
		const cards = [
			{ single: 90, comes: ['base', 'shiny'] },
			{ single: 20, comes: ['base', null] },
			{ single: 50, comes: ['base', null] },
			{ single: 70, comes: [null, 'shiny'] },
			{ single: 400, comes: [null, 'insert'] }
		];
		const plan = stopPlan(
			[{ key: 'format', priceMinor: 130, packsTogether: 1, most: 2, opens: [2, 1] }],
			stopCards(
				[plain, bonus],
				cards.map(({ single, comes }) => ({
					...{ cards: 1, lacking: 1, singleMinor: single, extraMinor: 8 },
					comes: comes.map((key) => (key === null ? null : { group: key, weight: 1 }))
				}))
			)
		);
		/** Cards of the profiles, by their place: which of those above each is; null: of none. */
		const places = [
			[0, 1, 2],
			[0, 3, 4, null]
		];
		for (const m of [1, 2]) {
			const [a = [], b = []] = [
				everyState(plain, 2 * m, () => 99)[2 * m],
				everyState(bonus, m, () => 99)[m]
			];
			const costs = a.flatMap((first) =>
				b.map((second) => {
					const copies = cards.map(() => 0);
					for (const [k, state] of [first, second].entries()) {
						for (const [i, count] of state.copies.entries()) {
							const card = places[k]?.[i] ?? null;
							if (card !== null) copies[card] = (copies[card] ?? 0) + count;
						}
					}
					const cost = cards.reduce((sum, { single }, i) => {
						const here = copies[i] ?? 0;
						return sum + (here === 0 ? single : -8 * (here - 1));
					}, 130 * m);
					return { cost, chance: first.chance * second.chance };
				})
			);
			const mean = costs.reduce((sum, { cost, chance }) => sum + cost * chance, 0);
			const square = costs.reduce((sum, { cost, chance }) => sum + chance * (cost - mean) ** 2, 0);
			const told = plan.options[0]?.curve.find(({ packs }) => packs === m);
			expect(told?.totalMinor).toBeCloseTo(mean, 8);
			const spread = 1.6448536269514722 * Math.sqrt(square);
			expect((told?.highMinor ?? NaN) - mean).toBeCloseTo(spread, 6);
		}
	});
});

describe('cost and its spread, against every pack that can be', () => {
	test.each<[string, PackProfile]>([
		['different cards a pack', profileOf([group('base', 4, each(2))])],
		['perhaps the same', profileOf([group('base', 3, each(2, false))])],
		[
			'an insert takes a place, two share one',
			profileOf([
				group('base', 3, each(2)),
				group('a', 2, odds(3), { slot: 's', takesPlaceOf: 'base' }),
				group('b', 1, odds(4), { slot: 's', takesPlaceOf: 'base' })
			])
		],
		[
			'weights, some here, places of their own',
			profileOf([
				group(
					'base',
					[
						{ cards: 2, weight: 2, lacking: 1 },
						{ cards: 1, weight: 1, lacking: 0 }
					],
					each(1)
				),
				group('a', 2, odds(2)),
				group('b', 1, odds(5))
			])
		]
	])('%s', (_, profile) => {
		const prices = { base: [40, 5], a: [300, 120], b: [900, 0] } as const;
		const packs = 4;
		const plan = whenToStop([option(profile, { most: packs })], priced(profile, prices));
		const cards = everyCard(profile);
		for (const [m, states] of everyState(profile, packs, () => 99).entries()) {
			const costs = states.map(({ copies, chance }) => {
				let cost = 100 * m;
				for (const [i, card] of cards.entries()) {
					const [single = 0, extra = 0] = prices[card.group.key as 'a'];
					const short = Math.max(0, card.lacking - (copies[i] ?? 0));
					cost += short * single - ((copies[i] ?? 0) - card.lacking + short) * extra;
				}
				return { cost, chance };
			});
			const mean = costs.reduce((sum, { cost, chance }) => sum + cost * chance, 0);
			const variance = costs.reduce(
				(sum, { cost, chance }) => sum + (cost - mean) ** 2 * chance,
				0
			);
			const at = plan.options[0]?.curve.find((point) => point.packs === m);
			expect(at?.totalMinor, `${m} packs`).toBeCloseTo(mean, 8);
			const spread = ((at?.highMinor ?? 0) - (at?.lowMinor ?? 0)) / 2 / 1.6448536269514722;
			expect(spread ** 2, `${m} packs`).toBeCloseTo(variance, 5);
		}
	});
});

test('the best number and the best combination, against trying them all', () => {
	const kind = fc.record({
		price: fc.integer({ min: 20, max: 400 }),
		count: fc.integer({ min: 1, max: 4 }),
		insert: fc.integer({ min: 2, max: 12 }),
		packsTogether: fc.constantFrom(1, 1, 3)
	});
	fc.assert(
		fc.property(
			fc.array(kind, { minLength: 1, maxLength: 2 }),
			fc.integer({ min: 5, max: 300 }),
			fc.integer({ min: 5, max: 2000 }),
			(kinds, single, insertSingle) => {
				const options = kinds.map(({ price, count, insert, packsTogether }, t) =>
					option(
						profileOf([
							group('base', 12, each(count)),
							group('insert', 4, odds(insert), { takesPlaceOf: 'base' })
						]),
						{ key: `k${t}`, priceMinor: price, packsTogether, most: 36 }
					)
				);
				const [first] = options;
				if (!first) return;
				const wanted = priced(first.profile, { base: [single, 1], insert: [insertSingle, 20] });
				const plan = whenToStop(options, wanted);
				let least = Infinity;
				const rates = options.map(({ profile }) => {
					const [base, insert] = profile.groups;
					const share = insert?.comes.sort === 'odds' ? 1 / insert.comes.packs : 0;
					const count = base?.comes.sort === 'count' ? base.comes.count : 0;
					return { base: (count - share) / 12, insert: share / 4 };
				});
				const [alpha, beta] = options;
				for (let a = 0; a <= 36; a += alpha?.packsTogether ?? 1) {
					for (let b = 0; b <= (beta ? 36 : 0); b += beta?.packsTogether ?? 1) {
						const no = (of: 'base' | 'insert') =>
							(1 - (rates[0]?.[of] ?? 0)) ** a * (1 - (rates[1]?.[of] ?? 0)) ** b;
						const copies = (of: 'base' | 'insert', n: number) =>
							n * (a * (rates[0]?.[of] ?? 0) + b * (rates[1]?.[of] ?? 0));
						const [missing, open] = [12 * no('base'), 4 * no('insert')];
						const total =
							a * (alpha?.priceMinor ?? 0) +
							b * (beta?.priceMinor ?? 0) +
							missing * single +
							open * insertSingle -
							(copies('base', 12) - 12 + missing) -
							20 * (copies('insert', 4) - 4 + open);
						least = Math.min(least, total);
					}
				}
				expect(plan.best.totalMinor).toBeCloseTo(least, 6);
				expect(plan.best.savedMinor).toBeCloseTo(plan.noneMinor - least, 6);
			}
		),
		{ numRuns: 150 }
	);
});

// Common practice, no source: ● old sealed packs cost so much that two or three buy the whole set in singles.
test('old packs: open none, for singles cost less', () => {
	const profile = profileOf([group('base', 100, each(10))]);
	const plan = whenToStop(
		[option(profile, { priceMinor: 1500, packsTogether: 36, most: 360 })],
		priced(profile, { base: [40, 5] })
	);
	expect(plan).toMatchObject({ isNone: true, noneMinor: 4000 });
	expect(plan.best).toMatchObject({ savedMinor: 0, packs: [{ packs: 0 }] });
	expect(plan.options[0]?.next.bringsMinor).toBeLessThan(plan.options[0]?.next.costMinor ?? 0);
});

test('packs that bring more than they cost are worth as many as there are; it says so', () => {
	const profile = profileOf([group('base', 10, each(5))]);
	const plan = whenToStop(
		[option(profile, { priceMinor: 10, most: 30 })],
		priced(profile, { base: [40, 5] })
	);
	expect(plan.options[0]).toMatchObject({ isAtMost: true, best: { packs: 30 } });
	const none = whenToStop([option(profile, { most: 0 })], priced(profile, { base: [40, 5] }));
	expect(none).toMatchObject({ isNone: true, options: [{ isAtMost: false, best: { packs: 0 } }] });
	expect(whenToStop([], new Map())).toMatchObject({ noneMinor: 0, isNone: true });
});

test('a card that is in every pack of one kind is here for certain, whatever another kind brings', () => {
	const rare = profileOf([group('base', [{ cards: 1, weight: 1, lacking: 2 }], odds(2))]);
	const sure = profileOf([group('base', [{ cards: 1, weight: 1, lacking: 2 }], each(1))]);
	const options = [
		option(rare, { key: 'rare', priceMinor: 10, most: 8 }),
		option(sure, { key: 'sure', priceMinor: 30, most: 8 })
	];
	const plan = whenToStop(options, priced(rare, { base: [1000, 0] }));
	let least = Infinity;
	for (let a = 0; a <= 8; a++) {
		for (let b = 0; b <= 8; b++) {
			const [none, once] = [0.5 ** a, a * 0.5 ** a];
			const missing = b === 0 ? 2 * none + once : b === 1 ? none : 0;
			least = Math.min(least, 10 * a + 30 * b + 1000 * missing);
		}
	}
	expect(plan.best.totalMinor).toBeCloseTo(least, 9);
});
