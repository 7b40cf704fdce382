import type { Release } from '../core/checklist/release.ts';
import { readCardListRows } from './card-list-rows.ts';
import type { CsvDefaults } from './checklist-csv-columns.ts';
import { readCsvTable } from './read-csv-table.ts';
import { guessColumns, rowsOfTable } from './table.ts';

/** Reads a list of cards written as CSV; what is wrong with it is thrown. */
export function readCardListRowsOf(text: string, defaults: CsvDefaults = {}): readonly Release[] {
	const table = readCsvTable(text);
	const rows = table.ok ? rowsOfTable(table.value, guessColumns(table.value.header)) : table;
	const outcome = rows.ok ? readCardListRows(rows.value, defaults, rows.notes) : rows;
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
