import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import { CSV_COLUMNS, type CsvColumn, type CsvRow } from './checklist-csv-columns.ts';

/** A table as a file holds it: the header, then rows, each with the line or row it stands on. */
export interface Table {
	readonly header: readonly string[];
	readonly headerLine: number;
	readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

/** What each column of a table holds; null: it is not read. */
export type ColumnChoice = readonly (CsvColumn | null)[];

/** The most rows a checklist may have. */
export const MOST_ROWS = 50_000;

/** What people call our columns. */
const SYNONYMS: Readonly<Record<string, CsvColumn>> = {
	'#': 'number',
	no: 'number',
	'no.': 'number',
	nr: 'number',
	num: 'number',
	card: 'number',
	'card no': 'number',
	'card no.': 'number',
	'card number': 'number',
	'card #': 'number',
	name: 'title',
	'card name': 'title',
	'card title': 'title',
	description: 'title',
	subject: 'subjects',
	set: 'section',
	subset: 'section',
	'set name': 'release',
	manufacturer: 'maker',
	publisher: 'maker',
	season: 'year',
	team: 'group',
	category: 'group',
	'rarity class': 'rarity',
	run: 'print run',
	'serial numbered': 'print run',
	total: 'stated total',
	parallel: 'parallels',
	mark: 'marks'
};

/** Guesses what the columns of a checklist hold. */
export function guessColumns(header: readonly string[]): ColumnChoice {
	return guessNames(header, CSV_COLUMNS, SYNONYMS);
}

/** Guesses what the columns of a header hold: our own names, then what people call them; each once. */
export function guessNames<Column extends string>(
	header: readonly string[],
	columns: readonly Column[],
	synonyms: Readonly<Record<string, Column>>
): readonly (Column | null)[] {
	const names = header.map(normalName);
	const known = names.map((name) => columns.find((column) => column === name) ?? null);
	const taken = new Set(known.filter((column) => column !== null));
	return known.map((column, i) => {
		const name = names[i] ?? '';
		const guess = column ?? (Object.hasOwn(synonyms, name) ? (synonyms[name] ?? null) : null);
		if (column !== null || guess === null || taken.has(guess)) return column;
		taken.add(guess);
		return guess;
	});
}

/**
 * The rows of a table by column. Columns that are not read are pointed out; a column chosen twice,
 * none to go by, no rows or rows too long are problems, all at once.
 */
export function rowsOfTable(table: Table, columns: ColumnChoice): Outcome<readonly CsvRow[]> {
	const { header, headerLine: line, rows } = table;
	const problems: Problem[] = [];
	const notes: Problem[] = [];
	header.forEach((name, i) => {
		const field = name.trim().slice(0, 60) || `column ${i + 1}`;
		const column = columns[i] ?? null;
		if (column === null) {
			if (name.trim() === '') return;
			notes.push({
				line,
				field,
				message: 'this column is not read',
				remedy: 'Choose what it holds, if it should be.'
			});
		} else if (columns.indexOf(column) < i) {
			problems.push({
				line,
				field,
				message: `there is another column for ${column}`,
				remedy: 'Keep one of them.'
			});
		}
	});
	if (!columns.includes('number') && !columns.includes('title')) {
		problems.push({
			line,
			message: 'there is neither a column "number" nor "title"',
			remedy: headerRemedy
		});
	}
	if (rows.length === 0) {
		problems.push({
			line,
			message: 'there is no card below the header',
			remedy: 'Write one row a card.'
		});
	}
	if (rows.length > MOST_ROWS) {
		problems.push({
			message: `the file has ${rows.length} rows`,
			remedy: `Split it: at most ${MOST_ROWS} are read at once.`
		});
	}
	for (const { line: at, cells } of rows) {
		if (cells.slice(header.length).some((cell) => cell.trim() !== '')) {
			problems.push({
				line: at,
				message: `the row has ${cells.length} fields, the header ${header.length}`,
				remedy: 'Put quotation marks around a field that holds the separator.'
			});
		}
	}
	if (problems.length > 0) return bad(problems.slice(0, 200), notes);
	const at = new Map(columns.map((column, i) => [column, i]));
	return good(
		rows.map((row) => ({
			line: row.line,
			cell: (column) => (row.cells[at.get(column) ?? -1] ?? '').trim()
		})),
		notes
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
