/**
 * Decimal places of a currency, as ISO 4217 lists them (the platform's copy of it): 2 for EUR, 0 for
 * JPY, 3 for KWD; 2 where the code is not known.
 *
 * @example [minorDigits('EUR'), minorDigits('JPY'), minorDigits('KWD')] // [2, 0, 3]
 */
export function minorDigits(currency: string): number {
	let digits = known.get(currency);
	if (digits === undefined) {
		digits = /^[A-Z]{3}$/.test(currency) ? digitsOf(currency) : 2;
		known.set(currency, digits);
	}
	return digits;
}

const known = new Map<string, number>();

function digitsOf(currency: string): number {
	return (
		new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
			.maximumFractionDigits ?? 2
	);
}

/**
 * An amount in units of its currency, as a number: where a chart draws it.
 *
 * @example [amountOf(1250, 'EUR'), amountOf(1250, 'JPY')] // [12.5, 1250]
 */
export function amountOf(minor: number, currency: string): number {
	return minor / 10 ** minorDigits(currency);
}

/**
 * Minor units as a plain number with the currency's decimals: 1250 EUR → "12.50".
 *
 * @example formatMinor(5, 'EUR') // '0.05'
 */
export function formatMinor(minor: number, currency: string): string {
	return amountOf(minor, currency).toFixed(minorDigits(currency));
}
