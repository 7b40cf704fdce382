import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Bundle, Offer, Seller } from '../offers/offer.ts';
import { postageOf, type PostageRule } from '../offers/postage-rule.ts';
import { checkIn, type OrderLine } from './check-in.ts';
import { mayBe, nextState, ORDER_STATES, ORDER_WAYS, statesOf } from './order-state.ts';
import { priceOrder } from './price-order.ts';
import { shipNow, type HubParcel } from './ship-now.ts';

test('an order goes on by its way until it is here; it may be in trouble anywhere', () => {
	for (const way of ORDER_WAYS) {
		const seen = [];
		let state = statesOf(way)[0] ?? null;
		while (state !== null && seen.length < 20) {
			seen.push(state);
			state = nextState({ way, state });
		}
		expect(seen).toEqual(statesOf(way));
		expect(seen.at(-1)).toBe('here');
		expect(nextState({ way, state: 'trouble' })).toBeNull();
		expect(mayBe(way, 'trouble')).toBe(true);
		expect(ORDER_STATES.filter((each) => mayBe(way, each))).not.toContain('here');
	}
	expect(mayBe('direct', 'at the hub')).toBe(false);
});

const line = (key: string, quantity: number, minor: number): OrderLine => ({
	...{ key, version: `r/base-${key}`, quantity, minor, condition: 'near mint' as const }
});

describe('an order is checked in', () => {
	test.each([
		[
			'all as ordered: postage by share of the price',
			[],
			[
				['a', 2, 250],
				['b', 1, 500]
			],
			0
		],
		[
			'one is short: its price is asked back, the postage stays',
			[{ line: 'a', came: [{ quantity: 1 }] }],
			[
				['a', 1, 267],
				['b', 1, 533]
			],
			200
		],
		[
			'one in another condition: half is asked back',
			[{ line: 'b', came: [{ quantity: 1, condition: 'good' as const }], askedMinor: 200 }],
			[
				['a', 2, 200],
				['b', 1, 400]
			],
			200
		],
		[
			'what came back is asked no more',
			[{ line: 'b', came: [], refundMinor: 400 }],
			[['a', 2, 300]],
			0
		],
		[
			'nothing came at all',
			[
				{ line: 'a', came: [] },
				{ line: 'b', came: [] }
			],
			[],
			800
		]
	] as const)('%s', (_, arrivals, cards, openMinor) => {
		const checked = checkIn(
			{ lines: [line('a', 2, 400), line('b', 1, 400)], postageMinor: 200 },
			arrivals
		);
		expect(checked.ok && checked.value.openMinor).toBe(openMinor);
		expect(
			checked.ok &&
				checked.value.cards.map(({ line: key, quantity, costMinor }) => [key, quantity, costMinor])
		).toEqual(cards);
	});

	test('what is worse than ordered is told, better or not said is not', () => {
		const worse = (condition: 'mint' | 'good') => {
			const checked = checkIn({ lines: [line('a', 3, 300)], postageMinor: 0 }, [
				{ line: 'a', came: [{ quantity: 2 }, { quantity: 1, condition }] }
			]);
			return checked.ok && checked.value.claims.flatMap((claim) => claim.worse);
		};
		expect(worse('good')).toEqual([{ quantity: 1, ordered: 'near mint', arrived: 'good' }]);
		expect(worse('mint')).toEqual([]);
	});

	test('what cannot be is named, all of it', () => {
		const checked = checkIn({ lines: [line('a', 1, 100)], postageMinor: 0 }, [
			{ line: 'a', came: [{ quantity: 2 }] },
			{ line: 'a', came: [] },
			{ line: 'z', came: [] }
		]);
		expect(checked.ok ? [] : checked.problems.map(({ message }) => message)).toEqual([
			'2 came of 1 that were ordered',
			'this line is checked in twice',
			'there is no line "z" in this order'
		]);
		const refunded = checkIn({ lines: [line('a', 1, 100)], postageMinor: 0 }, [
			{ line: 'a', came: [{ quantity: 1 }], refundMinor: 101 }
		]);
		expect(refunded.ok).toBe(false);
	});

	test('to the last minor unit: what the cards cost is what was paid, less what is back or asked', () => {
		const lines = fc.array(
			fc.record({
				quantity: fc.integer({ min: 1, max: 5 }),
				minor: fc.integer({ min: 0, max: 5000 })
			}),
			{ minLength: 1, maxLength: 8 }
		);
		fc.assert(
			fc.property(lines, fc.nat(900), fc.infiniteStream(fc.nat(5)), (some, postageMinor, draws) => {
				const ordered = some.map(({ quantity, minor }, i) => line(String(i), quantity, minor));
				const arrivals = ordered.map(({ key, quantity }) => {
					const here = Math.min(quantity, draws.next().value ?? 0);
					return { line: key, came: here === 0 ? [] : [{ quantity: here }] };
				});
				const checked = checkIn({ lines: ordered, postageMinor }, arrivals);
				if (!checked.ok) throw new RangeError('checkIn: a plain order was refused');
				const { cards, openMinor, costMinor } = checked.value;
				const paid = some.reduce((sum, { minor }) => sum + minor, postageMinor);
				expect(costMinor + openMinor).toBe(paid);
				const came = arrivals.reduce((sum, each) => sum + (each.came[0]?.quantity ?? 0), 0);
				expect(cards.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(came);
				if (came > 0) {
					expect(cards.reduce((sum, card) => sum + card.quantity * card.costMinor, 0)).toBe(
						costMinor
					);
				}
			})
		);
	});
});

const seller: Seller = {
	...{ key: 's', name: 'Ada', direct: { sort: 'each', firstMinor: 500, furtherMinor: 10 } },
	...{ toHub: null, leastOrderMinor: 300 }
};
const offer = (key: string, quantity: number, minor: number): Offer => ({
	...{ key, seller: 's', version: `r/base-${key}`, quantity, breaks: [{ count: 1, minor }] }
});
const bundle = (isShipped: boolean): Bundle => ({
	...{ key: 'b1', seller: 's', minor: 100, isShipped },
	items: [1, 2, 3].map((n) => ({ version: `r/base-${n}`, quantity: 1 }))
});

describe('an order is priced', () => {
	test('cards by their lots, postage by the rule, a bundle by number to the last minor unit', () => {
		const five = {
			...offer('7', 9, 90),
			breaks: [
				{ count: 1, minor: 90 },
				{ count: 5, minor: 300 }
			]
		};
		const priced = priceOrder({
			...{ seller, way: 'direct', bundles: [bundle(false)] },
			taken: [{ offer: five, quantity: 4 }]
		});
		// Five for 3.00 are cheaper than four for 3.60; eight cards go: 5.00 and 7 × 0.10.
		expect(priced).toMatchObject({ ok: true, value: { postageMinor: 570 } });
		expect(priced.ok && priced.value.lines.map(({ quantity, minor }) => [quantity, minor])).toEqual(
			[
				[5, 300],
				...[
					[1, 33],
					[1, 34],
					[1, 33]
				]
			]
		);
	});
	test('a shipped bundle pays no postage and needs no least order', () => {
		const priced = priceOrder({ seller, way: 'direct', taken: [], bundles: [bundle(true)] });
		expect(priced).toMatchObject({ ok: true, value: { postageMinor: 0 } });
	});
	test.each([
		['more than is offered', { taken: [{ offer: offer('1', 2, 400), quantity: 3 }] }, /has 2 of/],
		[
			'a way they do not send',
			{ way: 'hub' as const, taken: [{ offer: offer('1', 2, 400), quantity: 1 }] },
			/does not send to the hub/
		],
		[
			'too small an order',
			{ taken: [{ offer: offer('1', 2, 100), quantity: 1 }] },
			/less than the least order/
		],
		['nothing', { taken: [] }, /nothing is ordered/]
	])('%s is named', (_, what, message) => {
		const priced = priceOrder({ seller, way: 'direct', bundles: [], ...what });
		expect(priced.ok ? '' : priced.problems.map((problem) => problem.message).join('; ')).toMatch(
			message
		);
	});
});

test('shipping now or waiting: the cheapest of all ways to split in two by time, against trying each', () => {
	const rules = fc.constantFrom<PostageRule>(
		{ sort: 'each', firstMinor: 500, furtherMinor: 10 },
		{
			...{ sort: 'tiers', by: 'cards' },
			tiers: [
				{ from: 1, to: 20, minor: 450 },
				{ from: 21, to: 75, minor: 680 },
				{ from: 76, to: 150, minor: 900 }
			]
		},
		{
			...{ sort: 'tiers', by: 'grams' },
			tiers: [
				{ from: 0, to: 100, minor: 300 },
				{ from: 100, to: null, minor: 700 }
			]
		}
	);
	const parcels = fc.array(
		fc.record({
			cards: fc.integer({ min: 1, max: 60 }),
			days: fc.option(fc.nat(4), { nil: null })
		}),
		{ maxLength: 5 }
	);
	fc.assert(
		fc.property(rules, parcels, (rule, drawn) => {
			const all = drawn.map(({ cards, days }, i): HubParcel => ({
				...{ key: String(i), cards, grams: cards * 1.8, amountMinor: 0, days }
			}));
			const cost = (some: readonly HubParcel[]) => {
				const cards = some.reduce((sum, parcel) => sum + parcel.cards, 0);
				return postageOf(rule, { cards, grams: cards * 1.8, amountMinor: 0 });
			};
			const ways = [0, 1, 2, 3, 4].map((day) => {
				const isThere = ({ days }: HubParcel) => days !== null && days <= day;
				return cost(all.filter(isThere)) + cost(all.filter((parcel) => !isThere(parcel)));
			});
			const advice = shipNow(rule, all);
			const least = Math.min(...ways);
			expect(advice.waits.find(({ days }) => days === advice.bestDays)?.totalMinor).toBe(least);
			// The first day on which it costs so much.
			expect(advice.bestDays).toBe(ways.indexOf(least));
		})
	);
});
