import type { Release } from '../core/checklist/release.ts';
import { bad, type Outcome } from '../core/problem.ts';
import type { CsvDefaults } from './checklist-csv-columns.ts';
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

export interface ChecklistReading {
	readonly outcome: Outcome<Release>;
	/** null for JSON, and where no table could be made out. */
	readonly table: TableReading | null;
}

/** Reads a checklist in any of its forms: XLSX by its signature, JSON by its bracket, else CSV. */
export async function readChecklist(
	bytes: Uint8Array,
	choice: TableChoice = {}
): Promise<ChecklistReading> {
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
		return readTable(sheet.table, choice, names, sheet.name);
	}
	const text = decodeText(bytes);
	if (!text.ok) return { outcome: text, table: null };
	if (/^\s*[{[]/.test(text.value)) return { outcome: readChecklistJson(text.value), table: null };
	const table = readCsvTable(text.value);
	return table.ok ? readTable(table.value, choice, [], null) : { outcome: table, table: null };
}

function readTable(
	table: Table,
	choice: TableChoice,
	sheets: readonly string[],
	sheet: string | null
): ChecklistReading {
	const guess = guessColumns(table.header);
	// A choice made for another header does not fit this one.
	const columns = choice.columns?.length === guess.length ? choice.columns : guess;
	const rows = rowsOfTable(table, columns);
	const outcome = rows.ok ? readChecklistRows(rows.value, choice, rows.notes) : rows;
	return { outcome, table: { sheets, sheet, header: table.header, columns } };
}
