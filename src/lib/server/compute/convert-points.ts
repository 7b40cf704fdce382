import { convertMinor, type ExchangeRate } from '../../core/money/exchange-rates.ts';
import type { PricePoint } from '../../core/worth/prices/price-point.ts';
import type { Problem } from '../../core/problem.ts';

/** Points of a body in the currency that is reckoned in; money without a rate and prices upside down are problems. */
export function convertPoints(
	points: readonly (PricePoint & { readonly currency: string })[],
	currency: string,
	rates: readonly ExchangeRate[]
): { readonly points: readonly PricePoint[]; readonly problems: readonly Problem[] } {
	const problems: Problem[] = [];
	const known = points.flatMap(({ currency: code, ...point }, i): readonly PricePoint[] => {
		const lowMinor = convertMinor(point.lowMinor, code, currency, rates);
		const highMinor = convertMinor(point.highMinor, code, currency, rates);
		if (lowMinor === null || highMinor === null) {
			const message = `no rate leads from ${code} to ${currency}`;
			problems.push({ pointer: `/points/${i}/currency`, message, remedy: 'Give a rate.' });
			return [];
		}
		if (highMinor < lowMinor) {
			const message = 'the upper price is below the lower';
			problems.push({ pointer: `/points/${i}/highMinor`, message, remedy: 'Exchange them.' });
			return [];
		}
		return [{ ...point, lowMinor, highMinor }];
	});
	return { points: known, problems };
}
