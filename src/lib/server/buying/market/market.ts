import type { Condition } from '../../../core/copies/condition.ts';
import type { PostageRule } from '../../../core/buying/offers/postage-rule.ts';
import type { PracticeWant } from '../../../core/buying/market/practice-market.ts';
import type { OrderState } from '../../../core/buying/orders/order-state.ts';
import type { Outcome } from '../../../core/problem.ts';

/** Somebody who sells at a market, with what they offer. Money in minor units of the market's currency. */
export interface MarketSeller {
	/** What the market knows them by. */
	readonly key: string;
	readonly name: string;
	readonly direct: PostageRule | null;
	readonly toHub: PostageRule | null;
	readonly days: number;
	readonly daysToHub: number;
	readonly offers: readonly {
		readonly version: string;
		readonly quantity: number;
		readonly condition: Condition;
		readonly minor: number;
	}[];
}

/** What is ordered of a seller at a market. */
export interface Basket {
	readonly seller: string;
	readonly way: 'direct' | 'hub';
	readonly lines: readonly {
		readonly version: string;
		readonly condition: Condition | null;
		readonly quantity: number;
		/** What all of them cost, as it was offered. */
		readonly minor: number;
	}[];
}

/**
 * A place where many sell, whichever it is: the program asks nothing else of it. The one that ships with it is a
 * simulation (`practice-market.ts`); one that is real would be another adapter.
 */
export interface Market {
	readonly name: string;
	/** What is offered of what is wanted. */
	readonly listings: (wants: readonly PracticeWant[]) => Promise<readonly MarketSeller[]>;
	/** Whether a basket can be had as it was offered; what cannot is named. */
	readonly quote: (basket: Basket) => Promise<Outcome<{ readonly cardsMinor: number }>>;
	/** Orders it; gives what the market knows the order by. */
	readonly order: (basket: Basket) => Promise<Outcome<{ readonly reference: string }>>;
	/** Where orders are now, by what the market knows them by; those it does not know are left out. */
	readonly states: (references: readonly string[]) => Promise<ReadonlyMap<string, OrderState>>;
}
