import Papa from 'papaparse';

/**
 * A cell that a spreadsheet would run as a formula, with any apostrophes before it. A lone sign is
 * harmless.
 */
const FORMULA = /^'*[=+\-@\t\r]./s;

/** Writes rows as CSV (RFC 4180). A cell that might run as a formula gets an apostrophe before it. */
export function formatCsv(rows: readonly (readonly string[])[]): string {
	const cells = rows.map((row) => row.map((cell) => (FORMULA.test(cell) ? `'${cell}` : cell)));
	return `${Papa.unparse(cells, { newline: '\r\n' })}\r\n`;
}

/** A cell as it was before `formatCsv` wrote it. */
export function cellAsMeant(cell: string): string {
	return /^'+[=+\-@\t\r]./s.test(cell) ? cell.slice(1) : cell;
}
