/** Currencies whose minor unit is not a hundredth, as ISO 4217 lists them. */
const OTHER_DIGITS: Readonly<Record<string, number>> = {
	BIF: 0,
	CLP: 0,
	DJF: 0,
	GNF: 0,
	ISK: 0,
	JPY: 0,
	KMF: 0,
	KRW: 0,
	PYG: 0,
	RWF: 0,
	UGX: 0,
	VND: 0,
	VUV: 0,
	XAF: 0,
	XOF: 0,
	XPF: 0,
	BHD: 3,
	IQD: 3,
	JOD: 3,
	KWD: 3,
	LYD: 3,
	OMR: 3,
	TND: 3
};

/** Decimal places of a currency (ISO 4217): 2 for EUR, 0 for JPY; 2 where the code is not known. */
export function minorDigits(currency: string): number {
	return OTHER_DIGITS[currency] ?? 2;
}

/** An amount in minor units: 12.5 EUR → 1250. Rounded to the nearest unit. */
export function toMinor(amount: number, currency: string): number {
	return Math.round(amount * 10 ** minorDigits(currency));
}

/** Minor units as a plain number with the currency's decimals: 1250 EUR → "12.50". */
export function formatMinor(minor: number, currency: string): string {
	const digits = minorDigits(currency);
	return (minor / 10 ** digits).toFixed(digits);
}
