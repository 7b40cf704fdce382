import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { buildToSell, type BuildPlanGround } from './build-to-sell.ts';
import { coverSets, type PartOffer } from './cover-sets.ts';

const offer = (
	key: string,
	feedsSets: number,
	priceMinor: number,
	available: number,
	hours = 0
): PartOffer => ({
	...{ key, feedsSets, priceMinor, available, hours }
});

/** Every number of every offer. */
function cheapest(offers: readonly PartOffer[], sets: number): number {
	const [first, ...rest] = offers;
	if (sets <= 0) return 0;
	if (!first) return Infinity;
	return Math.min(
		...Array.from(
			{ length: first.available + 1 },
			(_, n) => n * first.priceMinor + cheapest(rest, sets - n * first.feedsSets)
		)
	);
}

describe('building sets to sell', () => {
	test('for all offers of a part: the cheapest combination for each number of sets, nothing fed that is not bought', () => {
		const some = fc.tuple(
			fc.integer({ min: 1, max: 5 }),
			fc.integer({ min: 0, max: 60 }),
			fc.integer({ min: 0, max: 4 })
		);
		fc.assert(
			fc.property(
				fc.array(some, { maxLength: 4 }),
				fc.integer({ min: 1, max: 12 }),
				(said, most) => {
					const offers = said.map(([feeds, price, available], i) =>
						offer(`${i}`, feeds, price, available)
					);
					coverSets(offers, most).forEach((way, sets) => {
						expect(way?.costMinor ?? Infinity).toBe(cheapest(offers, sets));
						const fed = way?.bought.reduce(
							(all, { key, quantity }) => all + quantity * (offers[Number(key)]?.feedsSets ?? 0),
							0
						);
						expect((fed ?? 0) - sets).toBe(way?.leftSets ?? -sets);
					});
				}
			),
			{ numRuns: 200 }
		);
	});

	const ground: BuildPlanGround = {
		parts: [
			{ key: 'commons', isKey: false, valueMinor: 400, offers: [offer('lot', 4, 1000, 9, 2)] },
			{
				key: 'keeper',
				isKey: true,
				valueMinor: 1500,
				offers: [offer('single', 1, 600, 2), offer('dear', 1, 900, 9)]
			}
		],
		...{
			sales: [
				{ sets: 2, priceMinor: 3000 },
				{ sets: 3, priceMinor: 2000 }
			],
			feeShare: 0.1
		},
		...{
			suppliesMinor: 100,
			packingMinor: 50,
			postageMinor: 50,
			fixedMinor: 1000,
			hoursFixed: 1,
			hoursPerSet: 2,
			mostSets: 8
		}
	};

	// By hand: 1 set 3000 − (1000 + 600 + 100 + 100 + 300 + 1000); a lot feeds four; the third keeper costs 900; sold are five at most.
	test('worked by hand: one lot feeds four, the price falls after two', () => {
		const plan = buildToSell(ground);
		expect(plan.outcomes.map(({ profitMinor }) => profitMinor)).toEqual([
			-100, 1800, 2500, 3200, 2900
		]);
		expect(plan).toMatchObject({
			breakEvenSets: 2,
			bestSets: 4,
			keyShare: 0.5,
			verdict: 'build',
			missing: []
		});
		expect(plan.outcomes[3]).toMatchObject({
			hours: 1 + 8 + 2,
			costPerSetMinor: 1700,
			profitPerHourMinor: Math.round(3200 / 11)
		});
		expect(plan.outcomes[4]?.parts[0]).toMatchObject({
			bought: [{ key: 'lot', quantity: 2 }],
			leftSets: 3
		});
	});

	test.each<[string, Partial<BuildPlanGround>, object]>([
		[
			'● without a price of the key card it is priced first',
			{ parts: [ground.parts[0]!, { ...ground.parts[1]!, offers: [] }] },
			{ verdict: 'price the key cards first', outcomes: [], missing: ['keeper'] }
		],
		['nobody buys', { sales: [] }, { outcomes: [], keyShare: null, bestSets: null }],
		[
			'too dear',
			{ fixedMinor: 100_000 },
			{ verdict: 'does not pay', breakEvenSets: null, bestSets: null, bestPerHourSets: null }
		]
	])('%s', (_, changed, holds) => {
		expect(buildToSell({ ...ground, ...changed })).toMatchObject(holds);
	});
});
