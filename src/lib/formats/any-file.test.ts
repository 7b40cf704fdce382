import fc from 'fast-check';
import { zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import type { Outcome } from '../core/problem.ts';
import { nearly, nearlyBytes } from '../schemas/mutate.fixture.ts';
import { checklistTable } from './checklist-csv.ts';
import { readChecklistJson } from './checklist-json.ts';
import { formatCsv } from './csv-cells.ts';
import { readKnowledge } from './knowledge-file.ts';
import { parseFriendText } from './friend-list.ts';
import { readCardList, readChecklist } from './read-checklist.ts';
import { readGradedTable } from './read-graded-table.ts';
import { readHoldings } from './read-holdings.ts';
import { readOffers } from './read-offers.ts';
import { writeXlsx } from './xlsx.ts';

/** So many files each; JADE_FUZZ_RUNS for a long search, JADE_SEED for another one. */
const RUNS = Number(process.env.JADE_FUZZ_RUNS ?? 60);
const SEED = Number(process.env.JADE_SEED ?? 1996);

const text = (words: string) => new TextEncoder().encode(words);
const release = readChecklistJson(readFileSync('demo/signal-year-2019.checklist.json', 'utf8'));
if (!release.ok) throw new RangeError('the demo file is right');
const checklist = checklistTable(release.value).slice(0, 30);
const holdings = [
	['set', 'number', 'parallel', 'quantity', 'condition', 'grade', 'cost', 'date', 'serial'],
	['Signal Year 2019', '1', '', '2', 'near mint', '', '1.50', '1996-10-05', ''],
	['Signal Year 2019', '2', 'Cobalt', '1', '', '8.5', '€ 2', '5 Oct 1996', '4/50']
];
const offers = [
	['set', 'number', 'finish', 'price', 'lots', 'quantity', 'condition'],
	['Signal Year 2019', '1', '', '0.40', '3 for 1', '4', 'good'],
	['Signal Year 2019', '2-4', 'Cobalt', '€1,20', '', '', '']
];
const graded = [
	['card', '8', '9', '9.5', '10'],
	['1', '4', '2', '', '1'],
	['2 Cobalt', '10', '0', '0', '']
];

/** Each reader with a table that it takes. */
const READERS: readonly [
	name: string,
	read: (bytes: Uint8Array) => Promise<Outcome<unknown>>,
	rows: readonly (readonly string[])[]
][] = [
	['a checklist', async (bytes) => (await readChecklist(bytes)).outcome, checklist],
	['a list of cards', async (bytes) => (await readCardList(bytes)).outcome, checklist],
	['holdings', async (bytes) => (await readHoldings(bytes)).outcome, holdings],
	[
		'a list of offers',
		async (bytes) => (await readOffers(bytes, { currency: 'EUR', usualSet: '' })).outcome,
		offers
	],
	['what a house graded', async (bytes) => readGradedTable(bytes), graded],
	[
		'a friend’s list',
		async (bytes) => parseFriendText('Mara', new TextDecoder().decode(bytes)),
		[
			['release', 'number', 'quantity'],
			['Signal Year 2019', '3', '2']
		]
	]
];

const check = (
	files: fc.Arbitrary<Uint8Array>,
	read: (bytes: Uint8Array) => Promise<Outcome<unknown>>,
	runs = RUNS
) =>
	fc.assert(
		fc.asyncProperty(files, async (bytes) => {
			const outcome = await read(bytes);
			if (outcome.ok) return;
			expect(outcome.problems.length).toBeGreaterThan(0);
			for (const { message } of outcome.problems) expect(message).toMatch(/\w{2}/);
		}),
		{ numRuns: runs, seed: SEED }
	);

describe('for any file that is nearly right', () => {
	test.each(READERS)('%s is read, or it is said what is wrong', async (_, read, rows) => {
		const cells = nearly(rows).map((table) =>
			formatCsv(
				(Array.isArray(table) ? table : [table]).map((row) =>
					(Array.isArray(row) ? row : [row]).map((cell) => String(cell))
				)
			)
		);
		await check(cells.map(text), read);
		await check(nearlyBytes(text(formatCsv(rows))), read);
		await check(nearlyBytes(await writeXlsx('Cards', rows)), read);
	});

	test('a checklist as JSON is read, or it is said what is wrong', async () => {
		const file: unknown = JSON.parse(
			readFileSync('demo/tidewater-strips-1926.checklist.json', 'utf8')
		);
		const read = async (bytes: Uint8Array) => (await readChecklist(bytes)).outcome;
		await check(
			nearly(file).map((document) => text(JSON.stringify(document))),
			read,
			3 * RUNS
		);
		await check(nearlyBytes(text(JSON.stringify(file))), read);
	});

	test('knowledge of a release is read, or it is said what is wrong', async () => {
		const checklist: unknown = JSON.parse(
			readFileSync('demo/tidewater-strips-1926.checklist.json', 'utf8')
		);
		const hash = 'ab'.repeat(32);
		const file = {
			...{ format: 'jade-knowledge', formatVersion: 1, from: 'Mara', on: '1996-10-06', checklist },
			pictures: [{ of: 'tidewater-strips-1926/base', side: 'front', hash }],
			lookAlikes: [{ name: 'Two', keys: ['a', 'b'] }]
		};
		const zip = (document: unknown) =>
			zipSync({
				'knowledge.json': text(JSON.stringify(document)),
				[`pictures/${hash}.webp`]: new Uint8Array([1, 2, 3])
			});
		const read = (bytes: Uint8Array) => Promise.resolve(readKnowledge(bytes));
		expect(readKnowledge(zip(file)).ok).toBe(true);
		await check(nearly(file).map(zip), read, 3 * RUNS);
		await check(nearlyBytes(zip(file)), read, 3 * RUNS);
	});
});
