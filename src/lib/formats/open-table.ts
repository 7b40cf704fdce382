import { good, type Outcome } from '../core/problem.ts';
import { decodeText } from './decode-text.ts';
import { readCsvTable } from './read-csv-table.ts';
import type { Table } from './table.ts';
import { isZip, readXlsx } from './xlsx.ts';

/** A table out of a file, with the sheets there are to choose from. */
export interface OpenedTable {
	readonly table: Table;
	/** Names; none for CSV. */
	readonly sheets: readonly string[];
	readonly sheet: string | null;
}

/** Opens XLSX or CSV, by what the bytes are: the sheet of that name, else the first. */
export async function openTable(
	bytes: Uint8Array,
	wanted: string | undefined
): Promise<Outcome<OpenedTable>> {
	if (!isZip(bytes)) {
		const text = decodeText(bytes);
		const table = text.ok ? readCsvTable(text.value) : text;
		return table.ok ? good({ table: table.value, sheets: [], sheet: null }) : table;
	}
	const sheets = await readXlsx(bytes);
	if (!sheets.ok) return sheets;
	const sheet = sheets.value.find(({ name }) => name === wanted) ?? sheets.value[0];
	if (!sheet) throw new RangeError('openTable: a workbook without sheets');
	return good({
		table: sheet.table,
		sheets: sheets.value.map(({ name }) => name),
		sheet: sheet.name
	});
}
