import type { BuyingModel, Mode } from './model.ts';

/** What is settled already while the rest is searched: ways of each seller, least and most of each arc, bundles. */
export interface Fixing {
	readonly ways: readonly (readonly Mode[])[];
	readonly least: Int32Array;
	readonly most: Int32Array;
	readonly bundle: Uint8Array;
}

/** A bundle is left, taken, or may be either. */
export const LEFT = 0;
export const TAKEN = 1;
export const OPEN = 2;

/** Nothing is settled but the ways in which sellers may be used. */
export function openFixing(model: BuyingModel, ways: readonly (readonly Mode[])[]): Fixing {
	const { arcWant, arcOffer, need, offerMost } = model;
	const most = new Int32Array(arcWant.length);
	for (let a = 0; a < most.length; a++) {
		const asked = need[arcWant[a] as number] as number;
		most[a] = Math.min(asked, offerMost[arcOffer[a] as number] as number);
	}
	const bundle = new Uint8Array(model.bundles.length).fill(OPEN);
	return { ways, least: new Int32Array(arcWant.length), most, bundle };
}
