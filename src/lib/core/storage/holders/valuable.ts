import type { HolderTier } from './choose-holder.ts';

/** From which value on a card is kept in a rigid holder, and so apart from its set. */
export interface Valuable {
	/** In minor units; `Number.MAX_SAFE_INTEGER`: no value is. */
	readonly fromMinor: number;
	/** ISO 4217. What is valued in other money is no valuable: without a rate nothing can be said of it. */
	readonly currency: string;
}

/** The value at which the lowest tier with a rigid holder begins, in minor units. */
export function valuableFrom(tiers: readonly HolderTier[]): number {
	const rigid = tiers.filter(({ holder }) => holder === 'top-loader' || holder === 'magnetic');
	return Math.min(...rigid.map(({ fromMinor }) => fromMinor), Number.MAX_SAFE_INTEGER);
}
