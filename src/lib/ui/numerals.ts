import { amountOf } from '$lib/core/money/minor-units';

/** Pounds and inches are usual here (CLDR, supplemental data: measurement systems); everywhere else kilograms and millimetres are. */
const IN_POUNDS = new Set(['US', 'LR', 'MM']);
/** The international inch, exactly (1959). */
const MM_AN_INCH = 25.4;
/** The international pound, exactly (1959). */
const GRAMS_A_POUND = 453.59237;

function formatsOf(locale: string) {
	const region = new Intl.Locale(locale).maximize().region ?? '';
	const inPounds = IN_POUNDS.has(region);
	const weight = new Intl.NumberFormat(locale, {
		...{ style: 'unit', unit: inPounds ? 'pound' : 'kilogram' },
		...{ minimumFractionDigits: 1, maximumFractionDigits: 1 }
	});
	const tenths = new Intl.NumberFormat(locale, { maximumFractionDigits: 1 });
	const hundredths = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 });
	const sized = (mm: readonly number[], by: Intl.NumberFormat, unitMm: number) =>
		mm.map((length) => by.format(length / unitMm)).join(' × ');
	return {
		locale,
		size: (mm: readonly number[]) =>
			`${sized(mm, tenths, 1)} mm${inPounds ? ` (${sized(mm, hundredths, MM_AN_INCH)} in)` : ''}`,
		whole: new Intl.NumberFormat(locale),
		// A day bears no time: it is the same day everywhere.
		day: new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeZone: 'UTC' }),
		dayOfYear: new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', timeZone: 'UTC' }),
		month: new Intl.DateTimeFormat(locale, { month: 'short', year: 'numeric', timeZone: 'UTC' }),
		moment: new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' }),
		clock: new Intl.DateTimeFormat(locale, { timeStyle: 'short' }),
		money: new Map<string, Intl.NumberFormat>(),
		weight: (grams: number) => weight.format(grams / (inPounds ? GRAMS_A_POUND : 1000))
	};
}

let formats = formatsOf('en-GB');

/**
 * Says by which locale numbers, dates, money, sizes and weights are written from now on; words stay English. A page is
 * rendered in one go, from its layout on, which says it first: on the server no other request comes between.
 *
 * @param locale BCP 47
 */
export function writeAs(locale: string): void {
	if (locale !== formats.locale) formats = formatsOf(locale);
}

/** "1,240" */
export const formatCount = (count: number): string => formats.whole.format(count);

/** "1 card", "3 cards" */
export const countOf = (count: number, singular: string, many = `${singular}s`): string =>
	`${formatCount(count)} ${count === 1 ? singular : many}`;

/** An ISO 8601 time as people read it. */
export const formatMoment = (iso: string): string => formats.moment.format(new Date(iso));

const ago = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });
const UNITS = [
	['day', 86_400_000],
	['hour', 3_600_000],
	['minute', 60_000]
] as const;

/** How old something is, with the time of it: "14:05, 2 hours ago"; times in ms since 1970. */
export function formatAgo(then: number, now: number): string {
	const age = Math.max(0, now - then);
	const [unit, ms] = UNITS.find(([, each]) => age >= each) ?? ['minute', 60_000];
	if (age < 60_000) return `${formats.clock.format(then)}, just now`;
	const at = unit === 'day' ? formats.moment.format(then) : formats.clock.format(then);
	return `${at}, ${ago.format(-Math.floor(age / ms), unit)}`;
}

/** An ISO 8601 day as people read it. */
export const formatDay = (iso: string): string => formats.day.format(new Date(iso));

/** "Oct 1996" of an ISO 8601 date. */
export const formatMonth = (iso: string): string => formats.month.format(new Date(iso));

/** "6 Oct" of an ISO 8601 date. */
export const formatDayOfYear = (iso: string): string => formats.dayOfYear.format(new Date(iso));

/** An amount in minor units of its currency. */
export function formatMoney(minor: number, currency: string): string {
	let money = formats.money.get(currency);
	if (!money) {
		money = new Intl.NumberFormat(formats.locale, { style: 'currency', currency });
		formats.money.set(currency, money);
	}
	return money.format(amountOf(minor, currency));
}

/** "9.6 kg" of grams, or "21.2 lb" where pounds are usual. */
export const formatWeight = (grams: number): string => formats.weight(grams);

/**
 * Lengths, as they are typed and marked on what is sold: "63.5 × 88.9 mm"; with inches where they are usual: "63.5 × 88.9 mm (2.5 × 3.5 in)".
 */
export const formatSize = (...mm: readonly number[]): string => formats.size(mm);
