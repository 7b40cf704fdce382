import type { Price } from '$lib/core/worth/prices/price';
import { formatMoney } from './numerals';

/** "€4.00 to €4.50", or one sum where both are the same. */
export function formatPriceRange({ lowMinor, highMinor }: Price, currency: string): string {
	const low = formatMoney(lowMinor, currency);
	return lowMinor === highMinor ? low : `${low} to ${formatMoney(highMinor, currency)}`;
}
