import { bad, good, type Outcome, type Problem } from '../problem.ts';
import { formatMinor, minorDigits } from './minor-units.ts';

/** Money in minor units (cents) of a currency (ISO 4217). */
export interface Amount {
	readonly minor: number;
	readonly currency: string;
}

/** What a sign stands for where nothing else says so. */
const SIGNS: ReadonlyMap<string, string> = new Map([
	['€', 'EUR'],
	['$', 'USD'],
	['£', 'GBP'],
	['¥', 'JPY'],
	['₩', 'KRW'],
	['₹', 'INR'],
	['zł', 'PLN'],
	['kč', 'CZK']
]);

/** The most that is read, in minor units: whole numbers are exact up to there. */
const MOST_MINOR = Number.MAX_SAFE_INTEGER;

/**
 * Reads an amount as people write it. Grammar:
 *
 *     amount   = [ currency ] number [ currency ]   ; one currency, before or behind
 *     currency = code / sign                        ; "EUR", "€"
 *     number   = whole [ mark decimals ]            ; mark: "," or "."
 *     whole    = digits / group *( parting 3digits ); parting: "," "." "'" or a space, all alike
 *
 * A single mark with three digits behind it parts thousands ("1.240"), unless the currency has three
 * decimals or the whole is 0. No more decimals than the currency has. Law: parse(format(x)) = x.
 *
 * @param currency what the amount is in where the text says nothing; the text must not contradict it;
 * null: the text has to say it
 * @example parseAmount('13,75', 'EUR') and parseAmount('€ 13.75', null) give 1375 EUR
 */
export function parseAmount(text: string, currency: string | null): Outcome<Amount> {
	const trimmed = text.trim();
	const match = /^([^\d\s.,'’-]{1,3})?\s*(\d(?:[\d.,'’\s]*\d)?)\s*([^\d\s.,'’-]{1,3})?$/u.exec(
		trimmed
	);
	if (!match || (match[1] && match[3])) return no(`"${clip(trimmed)}" is no amount`);
	const said = match[1] ?? match[3];
	const named = said === undefined ? currency : currencyOf(said, currency);
	if (named === null) {
		return said === undefined
			? no(`"${clip(trimmed)}" has no currency`, 'Write it behind: 13.75 EUR.')
			: no(`"${said}" is no currency`, 'Write its code: EUR, USD.');
	}
	if (currency !== null && named !== currency) {
		return no(`"${clip(trimmed)}" is in ${named}, not in ${currency}`, 'Make them the same.');
	}
	const digits = minorDigits(named);
	const parts = partsOf(match[2] ?? '', digits);
	if (!parts) return no(`"${clip(trimmed)}" is no amount`);
	if (parts.decimals.length > digits) {
		return no(
			`"${clip(trimmed)}" has ${parts.decimals.length} decimals`,
			digits === 0 ? `${named} has none.` : `${named} has ${digits}.`
		);
	}
	const minor = Number(parts.whole + parts.decimals.padEnd(digits, '0'));
	if (minor > MOST_MINOR) return no(`"${clip(trimmed)}" is more than can be counted exactly`);
	return good({ minor, currency: named });
}

/**
 * Writes an amount so that `parseAmount` reads it back: "12.50 EUR".
 *
 * @example formatAmount({ minor: 1250, currency: 'JPY' }) // '1250 JPY'
 */
export function formatAmount({ minor, currency }: Amount): string {
	return `${formatMinor(minor, currency)} ${currency}`;
}

/** What is wrong with an amount: not whole, less than nothing, beyond exact counting, in no currency. */
export function checkAmount({ minor, currency }: Amount): readonly Problem[] {
	const isCounted = Number.isInteger(minor) && minor >= 0 && minor <= MOST_MINOR;
	return [
		...(isCounted ? [] : [{ message: `${minor} is no amount in minor units` }]),
		...(/^[A-Z]{3}$/.test(currency) ? [] : [{ message: `"${clip(currency)}" is no currency` }])
	];
}

/** The code that a word or sign before or behind an amount stands for; a sign may be the currency's own. */
function currencyOf(said: string, currency: string | null): string | null {
	const code = said.toUpperCase();
	if (/^[A-Z]{3}$/.test(code)) return code;
	if (currency !== null && signOf(currency) === said) return currency;
	return SIGNS.get(said.toLowerCase()) ?? null;
}

function signOf(currency: string): string | undefined {
	if (!/^[A-Z]{3}$/.test(currency)) return undefined;
	return new Intl.NumberFormat('en', {
		style: 'currency',
		currency,
		currencyDisplay: 'narrowSymbol'
	})
		.formatToParts(0)
		.find(({ type }) => type === 'currency')?.value;
}

/** Digits before and behind the decimal mark; null where the marks stand as in no number. */
function partsOf(
	number: string,
	digits: number
): { readonly whole: string; readonly decimals: string } | null {
	const text = number.replace(/\s/g, ' ').replaceAll('’', "'");
	const marks = [...text.matchAll(/[.,' ]/g)].map(([mark]) => mark);
	if (marks.length === 0) return { whole: text, decimals: '' };
	const last = marks.at(-1) ?? '';
	const at = text.lastIndexOf(last);
	const [before, behind] = [text.slice(0, at), text.slice(at + 1)];
	const isAlone = marks.filter((mark) => mark === last).length === 1;
	const mayGroup =
		behind.length === 3 && !/^0+$/.test(before) && !(isAlone && digits === 3 && /[.,]/.test(last));
	const isDecimal = isAlone && /[.,]/.test(last) && !(marks.length === 1 && mayGroup);
	const whole = isDecimal ? ungrouped(before) : ungrouped(text);
	return whole === null ? null : { whole, decimals: isDecimal ? behind : '' };
}

/** "1'240'000" without its marks, which must be all alike and part threes; null where they do not. */
function ungrouped(text: string): string | null {
	if (/^\d+$/.test(text)) return text;
	return /^\d{1,3}([.,' ])\d{3}(?:\1\d{3})*$/.test(text) ? text.replace(/[.,' ]/g, '') : null;
}

function no(message: string, remedy = 'Write it as 13.75 or 13,75.'): Outcome<never> {
	return bad([{ message, remedy }]);
}

function clip(text: string): string {
	return text.length > 40 ? `${text.slice(0, 39)}…` : text;
}

/**
 * Reads an amount in the currency that it says, or else in the usual one.
 *
 * @example [parseAnyAmount('3 USD', 'EUR'), parseAnyAmount('3', 'EUR')].map((read) => read.ok && read.value.currency) // ['USD', 'EUR']
 */
export function parseAnyAmount(text: string, usual: string): Outcome<Amount> {
	const said = parseAmount(text, null);
	return said.ok ? said : parseAmount(text, usual);
}
