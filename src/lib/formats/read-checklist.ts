import type { Release } from '../core/checklist/release.ts';
import { bad, type Outcome, type Problem } from '../core/problem.ts';
import { readCardListRows } from './card-list-rows.ts';
import type { CsvDefaults, CsvRow } from './checklist-csv-columns.ts';
import { readChecklistRows } from './checklist-csv.ts';
import { readChecklistJson } from './checklist-json.ts';
import { decodeText } from './decode-text.ts';
import { readCsvTable } from './read-csv-table.ts';
import { guessColumns, rowsOfTable, type ColumnChoice, type Table } from './table.ts';
import { isZip, readXlsx } from './xlsx.ts';

/** How a table is to be read; left out, the first sheet and guessed columns. */
export interface TableChoice extends CsvDefaults {
	readonly sheet?: string;
	readonly columns?: ColumnChoice;
}

/** How a table was read, so that a person can choose otherwise. */
export interface TableReading {
	readonly sheets: readonly string[];
	readonly sheet: string | null;
	readonly header: readonly string[];
	readonly columns: ColumnChoice;
}

interface Reading<Value> {
	readonly outcome: Outcome<Value>;
	/** null for JSON, and where no table could be made out. */
	readonly table: TableReading | null;
}
export type ChecklistReading = Reading<Release>;
export type CardListReading = Reading<readonly Release[]>;

/** How a file becomes a value, as a table or as JSON. */
interface Reader<Value> {
	readonly rows: (
		rows: readonly CsvRow[],
		defaults: CsvDefaults,
		notes: readonly Problem[]
	) => Outcome<Value>;
	readonly json: (text: string) => Outcome<Value>;
}

/** Reads a checklist in any of its forms: XLSX by its signature, JSON by its bracket, else CSV. */
export function readChecklist(
	bytes: Uint8Array,
	choice: TableChoice = {}
): Promise<ChecklistReading> {
	return readFile(bytes, choice, { rows: readChecklistRows, json: readChecklistJson });
}

/** Reads a list of cards of any releases in the same forms, as the part of each release that it has. */
export function readCardList(
	bytes: Uint8Array,
	choice: TableChoice = {}
): Promise<CardListReading> {
	return readFile(bytes, choice, {
		rows: readCardListRows,
		json(text) {
			const outcome = readChecklistJson(text);
			return outcome.ok ? { ...outcome, value: [outcome.value] } : outcome;
		}
	});
}

async function readFile<Value>(
	bytes: Uint8Array,
	choice: TableChoice,
	reader: Reader<Value>
): Promise<Reading<Value>> {
	if (isZip(bytes)) {
		const sheets = await readXlsx(bytes);
		if (!sheets.ok) return { outcome: sheets, table: null };
		const names = sheets.value.map(({ name }) => name);
		const wanted = choice.sheet || names[0];
		const sheet = sheets.value.find(({ name }) => name === wanted);
		if (!sheet) {
			const remedy = `Choose one of: ${names.join(', ')}.`;
			const outcome = bad([
				{ field: 'sheet', message: `there is no sheet "${wanted ?? ''}"`, remedy }
			]);
			return { outcome, table: null };
		}
		return readTable(sheet.table, choice, names, sheet.name, reader);
	}
	const text = decodeText(bytes);
	if (!text.ok) return { outcome: text, table: null };
	if (/^\s*[{[]/.test(text.value)) return { outcome: reader.json(text.value), table: null };
	const table = readCsvTable(text.value);
	return table.ok
		? readTable(table.value, choice, [], null, reader)
		: { outcome: table, table: null };
}

function readTable<Value>(
	table: Table,
	choice: TableChoice,
	sheets: readonly string[],
	sheet: string | null,
	reader: Reader<Value>
): Reading<Value> {
	const guess = guessColumns(table.header);
	// A choice made for another header does not fit this one.
	const columns = choice.columns?.length === guess.length ? choice.columns : guess;
	const rows = rowsOfTable(table, columns);
	const outcome = rows.ok ? reader.rows(rows.value, choice, rows.notes) : rows;
	return { outcome, table: { sheets, sheet, header: table.header, columns } };
}
