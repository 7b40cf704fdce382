const month = new Intl.DateTimeFormat('en', { month: 'short', year: 'numeric', timeZone: 'UTC' });

/** "Oct 1996" of an ISO 8601 date. */
export const formatMonth = (iso: string): string => month.format(new Date(iso));
