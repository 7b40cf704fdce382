import { amountOf } from '$lib/core/money/minor-units';

const whole = new Intl.NumberFormat('en');
// A day bears no time: it is the same day everywhere.
const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' });
const moment = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** "1,240" */
export const formatCount = (count: number): string => whole.format(count);

/** "1 card", "3 cards" */
export const countOf = (count: number, singular: string, many = `${singular}s`): string =>
	`${formatCount(count)} ${count === 1 ? singular : many}`;

/** An ISO 8601 time as people read it. */
export const formatMoment = (iso: string): string => moment.format(new Date(iso));

const ago = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });
const clock = new Intl.DateTimeFormat('en-GB', { timeStyle: 'short' });
const UNITS = [
	['day', 86_400_000],
	['hour', 3_600_000],
	['minute', 60_000]
] as const;

/** How old something is, with the time of it: "14:05, 2 hours ago"; times in ms since 1970. */
export function formatAgo(then: number, now: number): string {
	const age = Math.max(0, now - then);
	const [unit, ms] = UNITS.find(([, each]) => age >= each) ?? ['minute', 60_000];
	if (age < 60_000) return `${clock.format(then)}, just now`;
	const at = unit === 'day' ? moment.format(then) : clock.format(then);
	return `${at}, ${ago.format(-Math.floor(age / ms), unit)}`;
}

/** An ISO 8601 day as people read it. */
export const formatDay = (iso: string): string => day.format(new Date(iso));

/** An amount in minor units of its currency. */
export function formatMoney(minor: number, currency: string): string {
	return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(
		amountOf(minor, currency)
	);
}

/** "9.6 kg" of grams. */
export const formatKg = (grams: number): string => `${(grams / 1000).toFixed(1)} kg`;
