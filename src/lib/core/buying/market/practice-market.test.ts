import fc from 'fast-check';
import { expect, test } from 'vitest';
import { checkPostageRule } from '../offers/postage-rule.ts';
import { statesOf } from '../orders/order-state.ts';
import { isNews, PRACTICE_STALLS, practiceOffers, practiceState } from './practice-market.ts';

const wants = Array.from({ length: 400 }, (_, i) => ({ version: `r/base-${i}`, usualMinor: 100 }));

test('stalls keep their rules, and offer the same on the same day, whatever else is asked for', () => {
	for (const stall of PRACTICE_STALLS) {
		expect([stall.direct, ...(stall.toHub ? [stall.toHub] : [])].flatMap(checkPostageRule)).toEqual(
			[]
		);
		const offers = practiceOffers(7, stall, wants, 3);
		expect([...practiceOffers(7, stall, [...wants].reverse(), 5)].reverse()).toEqual(offers);
		expect(practiceOffers(7, stall, wants, 9)).not.toEqual(offers);
		expect(practiceOffers(8, stall, wants, 3)).not.toEqual(offers);
		// The part that they hold, within four standard errors.
		const error = Math.sqrt((stall.holds * (1 - stall.holds)) / wants.length);
		expect(Math.abs(offers.length / wants.length - stall.holds)).toBeLessThan(4 * error);
		expect(
			offers.every(({ quantity, minor }) => quantity >= 1 && quantity <= stall.depth && minor > 0)
		).toBe(true);
	}
});

test('an order goes on by its way day by day, and never back; by the hub it stops there', () => {
	fc.assert(
		fc.property(
			fc.integer(),
			fc.constantFrom('direct' as const, 'hub' as const),
			fc.nat(12),
			(seed, way, days) => {
				const order = { reference: `p${seed}`, way, day: 2, days };
				const states = Array.from({ length: 40 }, (_, i) => practiceState(seed, order, 2 + i));
				const steps = states.filter((state, i) => state !== 'trouble' && state !== states[i - 1]);
				const order_ = statesOf(way);
				expect(steps.map((state) => order_.indexOf(state))).toEqual(
					[...new Set(steps)].map((state) => order_.indexOf(state)).sort((a, b) => a - b)
				);
				expect(states[0]).toBe('awaiting payment');
				expect(states.at(-1)).toBe(way === 'hub' ? 'at the hub' : 'shipped');
			}
		)
	);
	expect(isNews('direct', 'shipped', 'being filled')).toBe(false);
	expect(isNews('direct', 'being filled', 'shipped')).toBe(true);
	expect(isNews('hub', 'trouble', 'at the hub')).toBe(true);
	expect(isNews('hub', 'shipment asked for', 'at the hub')).toBe(false);
	expect(isNews('direct', 'here', 'trouble')).toBe(false);
});
