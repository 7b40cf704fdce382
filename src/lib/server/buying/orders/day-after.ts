const A_DAY_MS = 86_400_000;

/**
 * The day so many days after another one, ISO 8601.
 *
 * @example dayAfter('1996-02-28', 2) // '1996-03-01'
 */
export function dayAfter(day: string, days: number): string {
	return new Date(Date.parse(`${day}T00:00:00Z`) + days * A_DAY_MS).toISOString().slice(0, 10);
}

/** How many days lie between two days, ISO 8601; below 0 where the second is before the first. */
export const daysBetween = (from: string, to: string): number =>
	Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / A_DAY_MS);
