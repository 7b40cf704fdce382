import { parse } from 'csv-parse/sync';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { expand } from '../core/checklist/versions/expand.ts';
import type { CopyRecord } from '../core/copies/copy-record.ts';
import { matchHoldings } from '../core/holdings/match-holdings.ts';
import { readChecklistJson } from './checklist-json.ts';
import { HOLDING_COLUMNS } from './holdings-columns.ts';
import { readHoldings } from './read-holdings.ts';
import { formatHoldingsCsv, holdingsTable } from './write-holdings.ts';
import { writeXlsx } from './xlsx.ts';

const bytes = (text: string) => new TextEncoder().encode(text);

async function rowsOf(file: Uint8Array) {
	const { outcome } = await readHoldings(file);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

// Made by LibreOffice 7.4 (Debian): a CSV converted with `soffice --convert-to xlsx`.
test('a spreadsheet made by LibreOffice: columns under other names, amounts, grades', async () => {
	const file = new Uint8Array(readFileSync('tests/files/holdings-by-libreoffice.xlsx'));
	const { table, outcome } = await readHoldings(file);
	expect(table?.columns).toEqual([
		'year',
		'maker',
		'set',
		'number',
		'subject',
		'parallel',
		'attributes',
		'value',
		'quantity',
		'kept in',
		'grade'
	]);
	const rows = outcome.ok ? outcome.value : [];
	expect(rows.map(({ number, fields }) => [number, fields.quantity, fields.valueMinor])).toEqual([
		['27', 1, 124_050],
		['3', 3, 18],
		['F5', 1, 200],
		['999', 1, 100],
		['17', 1, 500]
	]);
	expect(rows[0]?.fields).toMatchObject({ grade: 9.5, place: 'Long box 4', currency: 'USD' });
});

describe('cells', () => {
	test.each<[string, string, object]>([
		['value', '2.50', { valueMinor: 250 }],
		['value', '€ 1.240,50', { valueMinor: 124_050 }],
		['value', '12,5', { valueMinor: 1250 }],
		['value', '1,240', { valueMinor: 124_000 }],
		['value', 'dear', { valueMinor: undefined, note: 'value: dear' }],
		['condition', 'Near Mint', { condition: 'near mint' }],
		['condition', 'so so', { condition: undefined, note: 'condition: so so' }],
		['grade', '8.3', { note: 'grade: 8.3' }],
		['grade', 'near mint', { note: 'grade: near mint' }],
		['grade', '8 (off centre)', { grade: 8, qualifier: 'off centre' }],
		['grade', 'authentic', { isAuthentic: true }],
		['quantity', '0', { quantity: 1, note: 'quantity: 0' }],
		['valued on', '1996-02-29', { valueOn: '1996-02-29' }],
		['valued on', '1996-02-30', { valueOn: undefined, note: 'valued on: 1996-02-30' }],
		['got on', 'May', { acquiredOn: undefined, note: 'got on: May' }],
		['status', 'to sell', { status: 'to sell' }]
	])('%s "%s"', async (column, text, fields) => {
		const [row] = await rowsOf(bytes(`set;number;${column}\nS;1;${text}`));
		expect(row?.fields).toMatchObject(fields);
	});

	test.each([
		['', /holds nothing|is empty|no header/],
		['number,subject\n1,A', /which set/],
		['set,year\nS,1994', /neither a number nor a subject/],
		['set,number', /no row below/]
	])('a list that cannot be used: %j', async (text, message) => {
		const { outcome } = await readHoldings(bytes(text));
		expect(outcome.ok ? '' : outcome.problems.map((problem) => problem.message).join()).toMatch(
			message
		);
	});
});

test('what goes out comes in again as the same copies, as CSV and as XLSX', async () => {
	const checklist = readChecklistJson(
		readFileSync('demo/harbour-lights-1994.checklist.json', 'utf8')
	);
	if (!checklist.ok) throw new RangeError(JSON.stringify(checklist.problems));
	const release = checklist.value;
	const versions = expand(release).filter((_, i) => i % 37 === 0);
	const copies = versions.map(({ key, printRun }, i): CopyRecord => ({
		key: String(i),
		version: key,
		quantity: printRun ? 1 : 1 + (i % 3),
		status: i % 4 === 0 ? 'spare' : 'kept',
		...(printRun ? { serial: `1/${printRun}` } : { condition: 'good' }),
		...(i % 5 === 0 ? { note: 'a; "note", with marks', place: 'Tin box' } : {}),
		...(i % 7 === 0 ? { valueMinor: 1234 + i, currency: 'USD' } : {}),
		attributes: i % 6 === 0 ? ['rookie'] : []
	}));
	const csv = formatHoldingsCsv([{ release, copies }]);
	// Reference: csv-parse reads the same cells.
	expect(parse(csv)).toEqual(holdingsTable([{ release, copies }]));
	expect(parse(csv)[0]).toEqual([...HOLDING_COLUMNS]);
	for (const file of [bytes(csv), await writeXlsx('H', holdingsTable([{ release, copies }]))]) {
		const { matched, unmatched } = matchHoldings(await rowsOf(file), [release]);
		expect(unmatched).toEqual([]);
		expect(matched.map(({ version }) => version)).toEqual(copies.map(({ version }) => version));
		matched.forEach(({ fields }, i) => {
			const { key: _k, version: _v, ...wanted } = copies[i] as CopyRecord;
			expect(fields).toMatchObject(wanted);
		});
	}
});
