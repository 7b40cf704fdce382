import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { formatCsv } from './csv-cells.ts';
import { readCsvTable } from './read-csv-table.ts';

const cell = fc.string({ unit: fc.constantFrom(...`=+-@'\t\rab1 ,;"\n`), maxLength: 6 });

test('for all tables, no cell begins as a formula does, and all are read back as they were', () => {
	fc.assert(
		fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 4 }), (rows) => {
			const text = formatCsv([['a', 'b'], ...rows]);
			// Oracle: another reader of RFC 4180, which takes cells as they stand.
			const raw = parse(text, { relax_column_count: true }) as string[][];
			for (const each of raw.flat()) expect(each).not.toMatch(/^[=+\-@\t\r]./s);
			const read = readCsvTable(text);
			const full = rows.filter((row) => row.some((each) => each.trim() !== ''));
			expect(read.ok && read.value.rows.map(({ cells }) => cells)).toEqual(full);
		}),
		{ numRuns: 500 }
	);
});
