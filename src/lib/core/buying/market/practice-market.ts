import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Condition } from '../../copies/condition.ts';
import type { PostageRule } from '../offers/postage-rule.ts';
import type { OrderState, OrderWay } from '../orders/order-state.ts';
import { statesOf } from '../orders/order-state.ts';

/** Who sells at the practice market, and how: all of it invented. Money in minor units. */
export interface PracticeStall {
	readonly key: string;
	readonly name: string;
	readonly direct: PostageRule;
	/** null: they do not send to a hub. */
	readonly toHub: PostageRule | null;
	readonly days: number;
	readonly daysToHub: number;
	/** Prices against the usual ones. */
	readonly level: number;
	/** The part of what is wanted that they have. */
	readonly holds: number;
	/** The most of one card. */
	readonly depth: number;
}

const each = (firstMinor: number, furtherMinor: number): PostageRule => ({
	...{ sort: 'each', firstMinor, furtherMinor }
});
export const PRACTICE_STALLS: readonly PracticeStall[] = [
	{
		...{ key: 'low-tide', name: 'Low Tide Stall', direct: each(450, 10), toHub: each(90, 2) },
		...{ days: 6, daysToHub: 4, level: 0.95, holds: 0.7, depth: 9 }
	},
	{
		...{ key: 'two-oars', name: 'Two Oars', direct: each(380, 15), toHub: null },
		...{ days: 5, daysToHub: 0, level: 1.1, holds: 0.45, depth: 2 }
	},
	{
		...{ key: 'beacon-row', name: 'Beacon Row', toHub: each(60, 5), days: 9, daysToHub: 6 },
		direct: {
			...{ sort: 'tiers', by: 'cards' },
			tiers: [
				{ from: 1, to: 20, minor: 390 },
				{ from: 21, to: 60, minor: 620 },
				{ from: 61, to: null, minor: 980 }
			],
			freeFromMinor: 6000
		},
		...{ level: 0.85, holds: 0.35, depth: 4 }
	},
	{
		...{ key: 'salt-box', name: 'The Salt Box', direct: each(500, 0), toHub: each(150, 0) },
		...{ days: 12, daysToHub: 8, level: 0.75, holds: 0.25, depth: 1 }
	}
];

/** A card that is wanted, with what it usually costs. */
export interface PracticeWant {
	readonly version: string;
	readonly usualMinor: number;
}

/** What a stall offers of one card. */
export interface PracticeOffer {
	readonly version: string;
	readonly quantity: number;
	readonly condition: Condition;
	readonly minor: number;
}

/** Days after which a stall has other cards. */
const RESTOCK_DAYS = 7;
/** Of so many orders one is in trouble on its way. */
const TROUBLE = 1 / 12;

/**
 * What a stall offers on a day: the same for the same seed, stall, week and cards, in whatever order they are asked
 * for. Invented, and no check of anything.
 *
 * @param day of the market's own clock, from 0
 */
export function practiceOffers(
	seed: number,
	stall: PracticeStall,
	wants: readonly PracticeWant[],
	day: number
): readonly PracticeOffer[] {
	const week = Math.floor(day / RESTOCK_DAYS);
	return wants.flatMap(({ version, usualMinor }): readonly PracticeOffer[] => {
		const draw = drawer(seed, stall.key, version, String(week));
		if (draw() >= stall.holds) return [];
		const isWorn = draw() < 0.3;
		const spread = 0.8 + 0.4 * draw();
		const minor = Math.max(1, Math.round(usualMinor * stall.level * spread * (isWorn ? 0.6 : 1)));
		const quantity = 1 + Math.floor(draw() * stall.depth);
		return [{ version, quantity, minor, condition: isWorn ? 'excellent' : 'near mint' }];
	});
}

/** An order as the market remembers it. */
export interface PracticeOrder {
	readonly reference: string;
	readonly way: OrderWay;
	/** Day of the market's clock on which it was ordered. */
	readonly day: number;
	/** Days it is on its way: to here, or to the hub. */
	readonly days: number;
}

/**
 * Where an order is on a day: paid after a day, then filled, then on its way as long as the stall says, a little sooner
 * or later; one of twelve is in trouble while it is. An order by the hub lies there until it is asked for. It never
 * comes here by itself: who has it checks it in.
 */
export function practiceState(seed: number, order: PracticeOrder, day: number): OrderState {
	const draw = drawer(seed, order.reference);
	const filled = 1 + Math.floor(draw() * 2);
	const way = Math.max(1, Math.round(order.days * (0.7 + 0.6 * draw())));
	const hasTrouble = draw() < TROUBLE;
	const since = day - order.day;
	if (since < 1) return 'awaiting payment';
	if (since < 1 + filled) return 'being filled';
	const isUnderWay = since < 1 + filled + way;
	if (isUnderWay && hasTrouble) return 'trouble';
	if (order.way !== 'hub') return 'shipped';
	return isUnderWay ? 'on the way to the hub' : 'at the hub';
}

/** Whether a state that the market tells is news: an order never goes back on its way. */
export function isNews(way: OrderWay, from: OrderState, to: OrderState): boolean {
	if (from === to || from === 'here') return false;
	if (to === 'trouble') return from !== 'trouble';
	const states = statesOf(way);
	return from === 'trouble' || states.indexOf(to) > states.indexOf(from);
}

/** Numbers from 0 to 1 that hang on a seed and some words alone (FNV-1a over them: from memory). */
function drawer(seed: number, ...words: readonly string[]): () => number {
	let hash = 0x811c9dc5;
	for (const letter of `${seed} ${words.join(' ')}`) {
		hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
	}
	const generator = xoroshiro128plus(hash | 0);
	return () => uniformFloat64(generator);
}
