import { bad, good, type Outcome, type Problem } from '../problem.ts';
import { minorDigits } from './minor-units.ts';

/** What one unit of a currency is worth in another, as its owner keeps it. */
export interface ExchangeRate {
	/** ISO 4217 */
	readonly from: string;
	readonly to: string;
	readonly rate: number;
}

const LINE = /^(?:1\s+)?([A-Za-z]{3})\s*(?:=\s*)?(\d{1,9}(?:[.,]\d{1,9})?)\s*([A-Za-z]{3})$/;

/**
 * Rates of exchange, a line each; empty lines are passed over. All problems at once, with their line.
 *
 * ```
 * line = [ "1" ] code [ "=" ] number code      ; 1 USD = 0.92 EUR
 * ```
 *
 * @example parseRateLines('1 USD = 0.92 EUR') // { ok: true, value: [{ from: 'USD', to: 'EUR', rate: 0.92 }], notes: [] }
 */
export function parseRateLines(text: string): Outcome<readonly ExchangeRate[]> {
	const problems: Problem[] = [];
	const rates: ExchangeRate[] = [];
	const pairs = new Set<string>();
	for (const [i, line] of text.split(/\r?\n/).entries()) {
		if (line.trim() === '') continue;
		const [, left = '', number = '', right = ''] = LINE.exec(line.trim()) ?? [];
		const [from, to] = [left.toUpperCase(), right.toUpperCase()];
		const rate = Number(number.replace(',', '.'));
		const at = { field: 'rates', message: `line ${i + 1}: "${line.trim().slice(0, 60)}" ` };
		if (from === '' || !(rate > 0)) {
			const remedy = 'Write it as "1 USD = 0.92 EUR".';
			problems.push({ ...at, message: `${at.message}is no rate`, remedy });
		} else if (from === to) {
			const remedy = 'Name two currencies.';
			problems.push({ ...at, message: `${at.message}is of one currency`, remedy });
		} else if (pairs.has([from, to].sort().join())) {
			const remedy = 'Keep one rate for each two currencies.';
			problems.push({ ...at, message: `${at.message}says it a second time`, remedy });
		} else {
			pairs.add([from, to].sort().join());
			rates.push({ from, to, rate });
		}
	}
	return problems.length > 0 ? bad(problems) : good(rates);
}

/**
 * The line that `parseRateLines` reads.
 *
 * @example formatRateLine({ from: 'USD', to: 'EUR', rate: 0.92 }) // '1 USD = 0.92 EUR'
 */
export function formatRateLine({ from, to, rate }: ExchangeRate): string {
	return `1 ${from} = ${rate.toFixed(9).replace(/\.?0+$/, '')} ${to}`;
}

/**
 * What one unit of a currency is worth in another by kept rates, either way round and over others, by as few
 * as can be; null: nobody says.
 */
function rateBetween(from: string, to: string, rates: readonly ExchangeRate[]): number | null {
	const reached = new Map([[from, 1]]);
	for (const [currency, worth] of reached) {
		if (currency === to) return worth;
		for (const rate of rates) {
			if (rate.from === currency && !reached.has(rate.to)) reached.set(rate.to, worth * rate.rate);
			if (rate.to === currency && !reached.has(rate.from))
				reached.set(rate.from, worth / rate.rate);
		}
	}
	return null;
}

/**
 * An amount in another currency, rounded to whole minor units of it; null where no kept rate leads there: it is
 * never compared as it is.
 *
 * @example [convertMinor(1000, 'USD', 'EUR', [{ from: 'USD', to: 'EUR', rate: 0.92 }]), convertMinor(1000, 'USD', 'JPY', [])] // [920, null]
 */
export function convertMinor(
	minor: number,
	from: string,
	to: string,
	rates: readonly ExchangeRate[]
): number | null {
	const factor = factorBetween(from, to, rates);
	return factor === null ? null : Math.round(minor * factor);
}

/** What a minor unit of one currency is in those of another. */
function factorBetween(from: string, to: string, rates: readonly ExchangeRate[]): number | null {
	if (from === to) return 1;
	const rate = rateBetween(from, to, rates);
	return rate === null ? null : rate * 10 ** (minorDigits(to) - minorDigits(from));
}
