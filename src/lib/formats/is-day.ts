const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Whether a text is a day of the Gregorian calendar as ISO 8601 writes it: "1996-02-29". */
export function isDay(text: string): boolean {
	const [, year = 0, month = 0, day = 0] = (/^(\d{4})-(\d{2})-(\d{2})$/.exec(text) ?? []).map(
		Number
	);
	const isLeap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
	const days = (DAYS[month - 1] ?? 0) + (month === 2 && isLeap ? 1 : 0);
	return day >= 1 && day <= days;
}
