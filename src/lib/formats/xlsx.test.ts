import { unzipSync, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import writeXlsxFile from 'write-excel-file/universal';
import { describe, expect, test } from 'vitest';
import { expand } from '../core/checklist/versions/expand.ts';
import { checklistTable } from './checklist-csv.ts';
import { readChecklistJson } from './checklist-json.ts';
import { readChecklist } from './read-checklist.ts';
import { guessColumns } from './table.ts';
import { readXlsx, writeXlsx } from './xlsx.ts';

const given = { name: 'R', maker: 'M', year: '1994' };
const demo = readChecklistJson(readFileSync('demo/signal-year-2019.checklist.json', 'utf8'));
if (!demo.ok) throw new RangeError('the demo file is right');

describe('a workbook', () => {
	test('gives back the same versions that were written to it', async () => {
		const bytes = await writeXlsx(demo.value.name, checklistTable(demo.value));
		const { outcome, table } = await readChecklist(bytes);
		expect(table?.sheets).toEqual(['Signal Year 2019']);
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems.slice(0, 3)));
		const keys = expand(outcome.value).map(({ key, printRun }) => `${key} ${printRun}`);
		// Variants do not travel in tables: the demo has one, of card 63.
		const before = expand({ ...demo.value, variants: [] }).map(
			({ key, printRun }) => `${key} ${printRun}`
		);
		expect(keys).toEqual(before);
	});

	test('is read sheet by sheet; numbers and dates are text; other columns are named', async () => {
		const cell = (value: string | number) => ({ value });
		const book = await writeXlsxFile([
			{ sheet: 'Notes', data: [[cell('hello')]] },
			{
				sheet: 'Cards',
				data: [
					[cell('Nr'), cell('Card name'), cell('Colour')],
					[cell(12), cell('Gannet Point'), cell('red')]
				]
			}
		]).toBlob();
		const bytes = new Uint8Array(await book.arrayBuffer());
		const first = await readChecklist(bytes, given);
		expect(first.outcome.ok).toBe(false);
		expect(first.table?.sheets).toEqual(['Notes', 'Cards']);
		const second = await readChecklist(bytes, { ...given, sheet: 'Cards' });
		expect(second.outcome).toMatchObject({
			ok: true,
			value: { sections: [{ cards: [{ number: '12', title: 'Gannet Point' }] }] }
		});
		expect(second.outcome.notes).toMatchObject([
			{ field: 'Colour', message: 'this column is not read' }
		]);
		const third = await readChecklist(bytes, {
			...given,
			sheet: 'Cards',
			columns: ['number', 'group', 'title']
		});
		expect(third.outcome).toMatchObject({
			ok: true,
			value: { sections: [{ cards: [{ title: 'red', group: 'Gannet Point' }] }] }
		});
		expect((await readChecklist(bytes, { ...given, sheet: 'Nix' })).outcome).toMatchObject({
			ok: false,
			problems: [{ field: 'sheet' }]
		});
	});

	test.each([
		['a zip that is no workbook', zipSync({ 'a.txt': new Uint8Array([1, 2, 3]) })],
		[
			'a workbook that breaks off',
			zipSync({ 'xl/workbook.xml': new TextEncoder().encode('<workbook') })
		],
		[
			'a zip that unpacks to too much',
			zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(201 * 1024 * 1024) }, { level: 1 })
		]
	])('%s gets a clear message', async (_, bytes) => {
		const { outcome } = await readChecklist(bytes, given);
		expect(outcome).toMatchObject({ ok: false });
		expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(/workbook/);
	});
});

test.each([
	[
		['Number', 'Title', 'x'],
		['number', 'title', null]
	],
	[
		['#', 'Card Name', 'Team', 'Set'],
		['number', 'title', 'group', 'section']
	],
	[
		['No.', 'number', 'Name'],
		[null, 'number', 'title']
	],
	[
		['section_key', 'Print-Run'],
		['section key', 'print run']
	]
])('the header %j is guessed', (header, columns) => {
	expect(guessColumns(header)).toEqual(columns);
});

test('a workbook holds no formula, whatever is written to it, and gives it back as it was', async () => {
	const cells = ['=1+1', '+1', '-1', '@x', '=HYPERLINK("http://x")', "'=1", '\t=1'];
	const bytes = await writeXlsx('Cards', [
		['number', 'title'],
		...cells.map((cell) => ['1', cell])
	]);
	const files = unzipSync(bytes);
	const sheet = new TextDecoder().decode(files['xl/worksheets/sheet1.xml']);
	expect(sheet).not.toMatch(/<f[ >]/);
	const read = await readXlsx(bytes);
	const rows = read.ok ? read.value[0]?.table.rows : [];
	expect(rows?.map((row) => row.cells[1]?.trim())).toEqual(cells.map((cell) => cell.trim()));
});

test('a workbook that unpacks to many times its size is refused', async () => {
	const files = { 'xl/worksheets/sheet1.xml': new Uint8Array(12 * 1024 * 1024) };
	const read = await readXlsx(zipSync(files, { level: 9 }));
	expect(read.ok ? [] : read.problems).toMatchObject([
		{ message: 'the workbook unpacks to over a hundred times its size' }
	]);
});
