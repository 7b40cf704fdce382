import Papa from 'papaparse';
import type { MissingGroup } from '../core/goal/missing-list.ts';

/** What is missing as CSV (RFC 4180), one row a card: section, parallel, number, title. */
export function formatMissingCsv(
	groups: readonly MissingGroup[],
	parallelName: (key: string) => string
): string {
	const rows = groups.flatMap(({ section, parallelKey, cards }) =>
		cards.map(({ number, title }) => ({
			section: section.name,
			parallel: parallelKey === null ? '' : parallelName(parallelKey),
			number: number ?? '',
			title
		}))
	);
	const columns = ['section', 'parallel', 'number', 'title'];
	return `${Papa.unparse({ fields: columns, data: rows.map((row) => Object.values(row)) }, { newline: '\r\n' })}\r\n`;
}
