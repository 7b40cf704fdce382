import type { Quality } from '../../copies/condition.ts';
import type { PriceBreak } from './price-breaks.ts';
import type { PostageRule } from './postage-rule.ts';

/** Cards of one version in one condition that a seller offers. */
export interface Offer extends Quality {
	readonly key: string;
	/** Key of the seller. */
	readonly seller: string;
	/** Version key */
	readonly version: string;
	/** The house that graded it. */
	readonly house?: string;
	/** How many there are, at least 1. */
	readonly quantity: number;
	/** Lots it is sold in, at least one; usually one card for so much. */
	readonly breaks: readonly PriceBreak[];
	/** What one weighs as it is sent; left out: a card of standard stock. */
	readonly grams?: number;
}

/** Several named cards for one price, all or none of them. */
export interface Bundle {
	readonly key: string;
	readonly seller: string;
	readonly minor: number;
	/** The price holds its postage: it comes alone, whatever else is ordered there. */
	readonly isShipped: boolean;
	readonly items: readonly BundleItem[];
}
export interface BundleItem extends Quality {
	readonly version: string;
	readonly house?: string;
	readonly quantity: number;
}

/** Somebody who sells, with what their postage costs; null: they do not send that way. */
export interface Seller {
	readonly key: string;
	readonly name: string;
	readonly direct: PostageRule | null;
	readonly toHub: PostageRule | null;
	/** The least that cards of an order must cost, in minor units. */
	readonly leastOrderMinor?: number;
	/** Days until cards are here, and until they are at the hub. */
	readonly days?: number;
	readonly daysToHub?: number;
}

/** A place that gathers orders of many sellers and forwards them in one parcel. */
export interface Hub {
	readonly forwarding: PostageRule;
	/** Days from the hub to here. */
	readonly days?: number;
}

/** ● A card of standard stock weighs about 1.8 g. */
export const CARD_GRAMS = 1.8;
