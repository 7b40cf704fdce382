const A_DAY_MS = 86_400_000;
/** Days of a month on average. */
const MONTH_DAYS = 365.2425 / 12;

/**
 * Days from one date (ISO 8601) to a later one; below nothing where it is earlier.
 *
 * @example daysBetween('1996-02-28', '1996-03-01') // 2
 */
export function daysBetween(from: string, to: string): number {
	return Math.round((Date.parse(to) - Date.parse(from)) / A_DAY_MS);
}

/**
 * The same in months of 30.44 days.
 *
 * @example Math.round(monthsBetween('1995-10-06', '1996-10-06')) // 12
 */
export function monthsBetween(from: string, to: string): number {
	return daysBetween(from, to) / MONTH_DAYS;
}
