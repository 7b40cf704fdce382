import Papa from 'papaparse';
import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import { CSV_COLUMNS, type CsvColumn, type CsvRow } from './checklist-csv-columns.ts';
import { linesOf } from './lines.ts';

/** The most rows a checklist may have. */
const MOST_ROWS = 50_000;
/** Quoted fields may hold line breaks, and lines may be blank; past this no checklist is meant. */
const MOST_LINES = 1_000_000;

/**
 * Reads CSV (RFC 4180; comma, semicolon or tab, told by the header) into rows by column name.
 * Blank lines are passed over. All faults of quoting and of the header come at once.
 */
export function readCsvRows(text: string): Outcome<readonly CsvRow[]> {
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
			if (data.some((cell) => cell.trim() !== '')) records.push({ line, cells: data });
		}
	});
	const [header, ...body] = records;
	if (!header) return bad([{ line: 1, message: 'the file has no header', remedy: headerRemedy }]);
	const names = header.cells.map(normalName);
	problems.push(...checkHeader(names, header.line));
	if (body.length === 0) {
		problems.push({
			line: header.line,
			message: 'there is no card below the header',
			remedy: 'Write one row a card.'
		});
	}
	if (body.length > MOST_ROWS) {
		problems.push({
			message: `the file has ${body.length} rows`,
			remedy: `Split it: at most ${MOST_ROWS} are read at once.`
		});
	}
	for (const { line, cells } of body) {
		const extra = cells.slice(names.length).filter((cell) => cell.trim() !== '').length;
		if (extra > 0) {
			problems.push({
				line,
				message: `the row has ${cells.length} fields, the header ${names.length}`,
				remedy: 'Put quotation marks around a field that holds the separator.'
			});
		}
	}
	if (problems.length > 0) return bad(problems.slice(0, 200));
	const at = new Map(names.map((name, i) => [name, i]));
	return good(
		body.map(({ line, cells }) => ({
			line,
			cell: (column) => (cells[at.get(column) ?? -1] ?? '').trim()
		}))
	);
}

const headerRemedy = `The first line names the columns, for example: section,number,title. Known: ${CSV_COLUMNS.join(', ')}.`;

function normalName(name: string): string {
	return name
		.replace(/^\ufeff/, '')
		.trim()
		.toLowerCase()
		.replace(/[\s_-]+/g, ' ');
}

function delimiterOf(text: string): string {
	const header = text.slice(0, (text.indexOf('\n') + 1 || text.length + 1) - 1);
	const count = (mark: string) => header.split(mark).length;
	return [',', ';', '\t'].reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}

function checkHeader(names: readonly string[], line: number): Problem[] {
	const known = new Set<string>(CSV_COLUMNS);
	const problems = names.flatMap((name, i): Problem[] => {
		if (name === '') return [];
		const field = name.slice(0, 60);
		if (!known.has(name)) {
			return [{ line, field, message: 'this is not a known column', remedy: headerRemedy }];
		}
		return names.indexOf(name) === i
			? []
			: [{ line, field, message: 'the column stands twice', remedy: 'Keep one of them.' }];
	});
	const has = (column: CsvColumn) => names.includes(column);
	if (!has('number') && !has('title')) {
		problems.push({
			line,
			message: 'there is neither a column "number" nor "title"',
			remedy: headerRemedy
		});
	}
	return problems.slice(0, 20);
}
