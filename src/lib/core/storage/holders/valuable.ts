import { leastWorth, type ExchangeRate } from '../../worth/exchange-rates.ts';
import type { HolderTier } from './choose-holder.ts';

/** From which value on a card is kept in a rigid holder, and so apart from its set. */
export interface Valuable {
	/** In minor units; `Number.MAX_SAFE_INTEGER`: no value is. */
	readonly fromMinor: number;
	/** ISO 4217. What is valued in other money is no valuable where no rate leads there: nothing can be said of it. */
	readonly currency: string;
	/** The same in other money, by kept rates. */
	readonly also?: readonly { readonly fromMinor: number; readonly currency: string }[];
}

/** The value at which the lowest tier with a rigid holder begins, in minor units. */
export function valuableFrom(tiers: readonly HolderTier[]): number {
	const rigid = tiers.filter(({ holder }) => holder === 'top-loader' || holder === 'magnetic');
	return Math.min(...rigid.map(({ fromMinor }) => fromMinor), Number.MAX_SAFE_INTEGER);
}

/** The value from which on a card is a valuable, in the money of the tiers and in all that kept rates lead to. */
export function valuableIn(
	tiers: readonly HolderTier[],
	currency: string,
	rates: readonly ExchangeRate[]
): Valuable {
	const fromMinor = valuableFrom(tiers);
	if (fromMinor === Number.MAX_SAFE_INTEGER) return { fromMinor, currency };
	const others = new Set(rates.flatMap(({ from, to }) => [from, to]));
	others.delete(currency);
	return {
		fromMinor,
		currency,
		also: [...others].flatMap((other) => {
			const least = leastWorth(fromMinor, currency, other, rates);
			return least === null ? [] : [{ fromMinor: least, currency: other }];
		})
	};
}
