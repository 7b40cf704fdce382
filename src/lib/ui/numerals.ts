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
