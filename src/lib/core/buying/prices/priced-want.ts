import type { Price } from '../../worth/prices/price.ts';
import type { SheetWant } from './sheet-want.ts';
import type { KnownPrice } from './typical-price.ts';

/** A want with what is known of its price. */
export interface PricedWant extends SheetWant {
	/** Null: nobody has said anything. */
	readonly price: KnownPrice | null;
	/** The middle of what was said before that, in minor units. */
	readonly beforeMinor?: number;
}

/** One sum that was said for several cards together. */
export interface Lump extends Price {
	readonly key: string;
	/** As it was said: "all commons". */
	readonly words: string;
	/** Every version that it was said for. */
	readonly versions: readonly string[];
	/** How many cards it was said for, at least 1. */
	readonly cards: number;
	readonly reason?: string;
}
