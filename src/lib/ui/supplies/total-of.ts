import type { SupplyList } from '$lib/core/binder/supplies';
import { formatMoney } from '../numerals';

/** What has a price, one amount a currency; that something has none is said behind it. */
export const totalOf = ({ totals, unpriced }: SupplyList): string =>
	[
		...totals.map((total) => formatMoney(total.costMinor, total.currency)),
		...(totals.length > 0 && unpriced.length > 0 ? ['what has no price'] : [])
	].join(' + ');
