import Papa from 'papaparse';
import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import { cellAsMeant } from './csv-cells.ts';
import { linesOf } from './lines.ts';
import { MOST_ROWS, type Table } from './table.ts';

/** Quoted fields may hold line breaks, and lines may be blank; past this no checklist is meant. */
const MOST_LINES = 1_000_000;

/**
 * Reads CSV (RFC 4180; comma, semicolon or tab, told by the header) as a table. Blank lines are
 * passed over. All faults of quoting come at once.
 */
export function readCsvTable(text: string): Outcome<Table> {
	const lines = linesOf(text);
	if (lines.count > MOST_LINES) {
		const message = `the file has ${lines.count} lines`;
		return bad([{ message, remedy: `Split it: at most ${MOST_ROWS} cards are read at once.` }]);
	}
	const problems: Problem[] = [];
	const records: { line: number; cells: string[] }[] = [];
	let start = 0;
	Papa.parse<string[]>(text, {
		delimiter: delimiterOf(text),
		step({ data, errors, meta }) {
			const { line } = lines.at(start);
			start = meta.cursor;
			for (const error of errors) {
				problems.push({
					line,
					message: `the quoting is broken: ${error.message.toLowerCase()}`,
					remedy: 'Put quotation marks around the whole field and double those inside it.'
				});
			}
			const cells = data.map(cellAsMeant);
			if (cells.some((cell) => cell.trim() !== '')) records.push({ line, cells });
		}
	});
	const [header, ...rows] = records;
	if (problems.length > 0) return bad(problems.slice(0, 200));
	if (!header) {
		return bad([
			{ line: 1, message: 'the file has no header', remedy: 'Name the columns in the first line.' }
		]);
	}
	return good({ header: header.cells, headerLine: header.line, rows });
}

function delimiterOf(text: string): string {
	const header = text.slice(0, (text.indexOf('\n') + 1 || text.length + 1) - 1);
	const count = (mark: string) => header.split(mark).length;
	return [',', ';', '\t'].reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}
