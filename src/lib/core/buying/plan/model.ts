import type { PostageRule } from '../offers/postage-rule.ts';

/**
 * A buying problem in numbers: wants, sellers and offers go by their places, an arc is an offer of a want. Money
 * in minor units of one currency. Fields are flat arrays, for they are read millions of times.
 */
export interface BuyingModel {
	/** By want: how many are wanted, and what each that is not got costs. */
	readonly need: Int32Array;
	readonly penalty: Float64Array;
	readonly sellers: readonly ModelSeller[];
	/** By offer: its seller, how many there are, and what n of them cost and how many pieces come (from 0 on). */
	readonly offerSeller: Int32Array;
	readonly offerMost: Int32Array;
	readonly offerCost: readonly Float64Array[];
	readonly offerPieces: readonly Int32Array[];
	readonly offerGrams: Float64Array;
	/** Arcs of offer o stand from `firstArc[o]` to before `firstArc[o + 1]`. */
	readonly firstArc: Int32Array;
	readonly arcOffer: Int32Array;
	readonly arcWant: Int32Array;
	/** Arcs of each want. */
	readonly arcsOf: readonly Int32Array[];
	/** Offers of each seller. */
	readonly offersOf: readonly Int32Array[];
	readonly bundles: readonly ModelBundle[];
	readonly hub: PostageRule | null;
	/** The most sellers that are bought from. */
	readonly mostSellers: number;
}

/** How a seller sends: not at all (nothing is bought there), straight, or to the hub. */
export const CLOSED = 0;
export const DIRECT = 1;
export const BY_HUB = 2;
export type Mode = typeof CLOSED | typeof DIRECT | typeof BY_HUB;

export interface ModelSeller {
	readonly direct: PostageRule | null;
	readonly toHub: PostageRule | null;
	readonly leastOrderMinor: number;
	/** Something has to be bought here. */
	readonly isIn: boolean;
}

/** Named cards for one price. */
export interface ModelBundle {
	readonly seller: number;
	readonly minor: number;
	readonly pieces: number;
	readonly grams: number;
	/** What of it is wanted. */
	readonly wants: readonly { readonly want: number; readonly count: number }[];
}

/** What is bought: by seller how it is sent, by arc how many, by bundle whether. */
export interface Selection {
	readonly mode: Uint8Array;
	readonly take: Int32Array;
	readonly bundle: Uint8Array;
}

export function emptySelection(model: BuyingModel): Selection {
	return {
		mode: new Uint8Array(model.sellers.length),
		take: new Int32Array(model.arcWant.length),
		bundle: new Uint8Array(model.bundles.length)
	};
}

export function copySelection({ mode, take, bundle }: Selection): Selection {
	return { mode: mode.slice(), take: take.slice(), bundle: bundle.slice() };
}

/** Arcs of an offer, by their places. */
export function arcsOfOffer({ firstArc }: BuyingModel, offer: number): readonly number[] {
	const first = firstArc[offer] as number;
	return Array.from({ length: (firstArc[offer + 1] as number) - first }, (_, k) => first + k);
}
