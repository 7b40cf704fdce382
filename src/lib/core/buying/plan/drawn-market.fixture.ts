import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Bundle, Hub, Offer, Seller } from '../offers/offer.ts';
import type { PostageRule } from '../offers/postage-rule.ts';
import type { BuyingProblem, PlannedWant } from './compile-model.ts';

/** What a drawn market is like. */
export interface MarketShape {
	readonly wants: number;
	readonly sellers: number;
	/** The part of all cards that an average seller has, 0 to 1. */
	readonly density: number;
	/** Lots, several wanted of a card, least orders, free postage, steps, bundles: all that makes it hard. */
	readonly isRich: boolean;
	readonly hasHub: boolean;
}

/** A number from 0 to below 1, the same row for the same seed. */
export function seeded(seed: number): () => number {
	const generator = xoroshiro128plus(seed);
	return () => uniformFloat64(generator);
}

/**
 * Draws a buying problem: most cards are cheap, some dear; sellers differ in what they hold and in how dear they are.
 * ● About 5.00 a seller straight, 0.40 to 1.50 into a hub, about 9.00 for forwarding 150 cards: common practice, no
 * source.
 */
export function drawMarket(shape: MarketShape, random: () => number): BuyingProblem {
	const { isRich, density } = shape;
	const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
	const worth = Array.from({ length: shape.wants }, () =>
		Math.round(18 * Math.exp(2.6 * random() ** 2 * 2))
	);
	const wants = worth.map((_, i): PlannedWant => ({
		...{ key: `w${i}`, versions: [`r/base-${i}`], mostMinor: null, priority: 2 },
		quantity: isRich && random() < 0.15 ? between(2, 3) : 1
	}));
	const sellers: Seller[] = [];
	const offers: Offer[] = [];
	const bundles: Bundle[] = [];
	for (let s = 0; s < shape.sellers; s++) {
		const key = `s${s}`;
		const first = between(350, 650);
		const direct: PostageRule = {
			...(isRich && s % 3 === 1
				? {
						sort: 'tiers' as const,
						by: s % 2 === 0 ? ('cards' as const) : ('grams' as const),
						tiers: stepsOf(first, s % 2 === 0 ? 1 : 1.8)
					}
				: { sort: 'each' as const, firstMinor: first, furtherMinor: between(0, 15) }),
			...(isRich && s % 4 === 2 ? { freeFromMinor: between(1500, 4000) } : {})
		};
		const sendsToHub = shape.hasHub && random() < 0.75;
		sellers.push({
			...{ key, name: key, direct },
			toHub: sendsToHub
				? { sort: 'each', firstMinor: between(40, 150), furtherMinor: between(0, 5) }
				: null,
			...(isRich && s % 5 === 3 ? { leastOrderMinor: between(200, 900) } : {})
		});
		const depth = Math.min(0.95, density * Math.exp(1.2 * (random() - 0.5)));
		const level = 0.8 + 0.5 * random();
		for (const [i, base] of worth.entries()) {
			if (random() >= depth) continue;
			const minor = Math.max(5, Math.round(base * level * (0.75 + 0.6 * random())));
			const hasLots = isRich && random() < 0.1;
			offers.push({
				...{ key: `${key} ${i}`, seller: key, version: `r/base-${i}` },
				quantity: isRich ? between(1, hasLots ? 6 : 3) : 1,
				breaks: [
					{ count: 1, minor },
					...(hasLots ? [{ count: 3, minor: Math.round(minor * 2.2) }] : [])
				]
			});
		}
		if (isRich && s % 4 === 0) {
			const items = worth.flatMap((_, i) =>
				random() < 0.3 ? [{ version: `r/base-${i}`, quantity: 1, at: i }] : []
			);
			const whole = items.reduce((sum, { at }) => sum + (worth[at] ?? 0), 0);
			if (items.length > 0)
				bundles.push({
					...{ key: `b${s}`, seller: key, isShipped: s % 8 === 0 },
					minor: Math.round(whole * 0.9) + 200,
					items: items.map(({ version, quantity }) => ({ version, quantity }))
				});
		}
	}
	const hub: Hub | null = shape.hasHub
		? { forwarding: { sort: 'tiers', by: 'cards', tiers: HUB_STEPS } }
		: null;
	return { wants, offers, bundles, sellers, hub, limits: {} };
}

function stepsOf(first: number, unit: number) {
	return [
		{ from: unit === 1 ? 1 : 0, to: Math.round(10 * unit), minor: first - 100 },
		{
			from: Math.round(10 * unit) + (unit === 1 ? 1 : 0),
			to: Math.round(40 * unit),
			minor: first + 100
		},
		{ from: Math.round(40 * unit) + (unit === 1 ? 1 : 0), to: null, minor: first + 500 }
	];
}

const HUB_STEPS = [
	{ from: 1, to: 20, minor: 450 },
	{ from: 21, to: 75, minor: 680 },
	{ from: 76, to: 150, minor: 900 },
	{ from: 151, to: 400, minor: 1400 },
	{ from: 401, to: null, minor: 2300 }
];
