/** Days of a month on average, of the Gregorian calendar. */
const MONTH_DAYS = 365.2425 / 12;

/**
 * The number of a day (ISO 8601 date), counted from 1970-01-01 (days_from_civil; Hinnant 2013, chrono-Compatible Low-Level Date
 * Algorithms). A ladder asks for a hundred thousand of them, and core has no clock: so no library of dates.
 *
 * @throws RangeError for what is no date
 * @example [dayNumber('1970-01-01'), dayNumber('1996-02-29')] // [0, 9555]
 */
export function dayNumber(date: string): number {
	const year = Number(date.slice(0, 4));
	const month = Number(date.slice(5, 7));
	const day = Number(date.slice(8));
	if (!(month >= 1 && month <= 12 && day >= 1 && day <= 31) || Number.isNaN(year)) {
		throw new RangeError(`dayNumber: "${date}" is no date`);
	}
	// Years begin in March, so that a leap day is the last of its year.
	const y = month > 2 ? year : year - 1;
	const era = Math.floor(y / 400);
	const yearOfEra = y - era * 400;
	const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
	const leapDays = Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100);
	return era * 146_097 + yearOfEra * 365 + leapDays + dayOfYear - 719_468;
}

/**
 * Days from one date to a later one; below nothing where it is earlier.
 *
 * @example daysBetween('1996-02-28', '1996-03-01') // 2
 */
export function daysBetween(from: string, to: string): number {
	return dayNumber(to) - dayNumber(from);
}

/**
 * The same in months of 30.44 days.
 *
 * @example Math.round(monthsBetween('1995-10-06', '1996-10-06')) // 12
 */
export function monthsBetween(from: string, to: string): number {
	return daysBetween(from, to) / MONTH_DAYS;
}
