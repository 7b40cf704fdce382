import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { eq, sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { readGradedTable } from '../../formats/read-graded-table.ts';
import { writeXlsx } from '../../formats/xlsx.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { copies, copySums } from '../database/tables/index.ts';
import { addPhoto } from '../media/photos.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { withGulls } from '../gulls.fixture.ts';
import { redo, undo } from '../journal/undo.ts';
import { setExchangeRates } from '../preferences/exchange-rates.ts';
import { keepHouse } from './houses.ts';
import { importPopulations, importPrices, type GradedDefaults } from './import-graded.ts';
import { ladderView } from './ladder-view.ts';
import { keepPopulation } from './populations/keep-population.ts';
import { populationsView } from './populations/populations-view.ts';
import { notePrices, type NotedPrices } from './prices/note-prices.ts';
import { priceBookView } from './prices/price-book-view.ts';
import { insuranceList } from './value/insurance-list.ts';
import type { WorthScope } from './value/read-worth-copies.ts';
import { valueView } from './value/value-view.ts';

const gulls = withGulls();
const release = 'gulls-1996';
const today = '1996-10-06';
const note = (line: string, more: Partial<NotedPrices> = {}) =>
	notePrices(gulls.collection, {
		...{
			release,
			line,
			kind: 'sale',
			house: '',
			source: 'fair',
			on: '1996-09-01',
			currency: 'EUR'
		},
		...more
	});
const messages = (done: {
	ok: boolean;
	problems?: readonly { message: string; line?: number }[];
}) =>
	(done.problems ?? []).map(({ message, line }) =>
		line === undefined ? message : `${line}: ${message}`
	);
const defaults: GradedDefaults = {
	release,
	house: 'Gull',
	source: 'list',
	on: '1996-09-01',
	currency: 'EUR',
	kind: 'sale'
};
const table = async (text: string) => {
	const read = await readGradedTable(new TextEncoder().encode(text));
	if (!read.ok) throw new RangeError(messages(read).join('; '));
	return read.value;
};
const worth = async (scope: WorthScope) =>
	(await valueView(gulls.collection.db, { scope, today })).worth;
const cells = async (column: string) => {
	const ask = { release, column, house: null, top: 10, card: null, today };
	return (await ladderView(gulls.collection.db, ask)).rows.map(({ name, cells: row }) => {
		const cell = row.find(({ label }) => label === column);
		return `${name} ${cell?.priceMinor ?? cell?.empty ?? ''}`;
	});
};

test('prices are noted as heard: with all problems none; a slip of the same day is replaced; undo', async () => {
	await keepHouse(gulls.collection, { name: 'Gull', grades: '10-1', givesAuthentic: true });
	expect(
		await note('2 grade 8 24; 3 authentic 4–4.50 (signed); 4 nm 1', { house: 'Gull' })
	).toMatchObject({ ok: true, value: { prices: 3 } });
	await note('2 grade 8 240', { house: 'Gull' });
	expect(await cells('8')).toEqual(['2 24000', '3 not known', '4 not known']);
	await undo(gulls.collection);
	expect(await cells('8')).toEqual(['2 2400', '3 not known', '4 not known']);
	expect(messages(await note('99 1; 2 grade 8.5 3; 3 -1', { house: 'Gull' }))).toEqual([
		'there is no card 99',
		'a price is below nothing',
		'Gull does not give the grade 8.5'
	]);
	expect(messages(await note('2 3', { house: 'Tern', on: '2001-01-01' }))).toEqual([
		'there is no house "Tern"',
		'2001-01-01 is still to come'
	]);
	expect((await priceBookView(gulls.collection.db, release, today)).count).toBe(3);
});

test('a table long or wide, CSV or XLSX, is taken in whole; money without a rate is named and in no sum', async () => {
	const wide = 'card,7,8,NM,house,on\n2,12,40–44,,Gull,1996-05-01\n3,,60,2,,\n';
	expect(await importPrices(gulls.collection, await table(wide), defaults)).toMatchObject({
		ok: true,
		value: { prices: 4 }
	});
	const sheet = await writeXlsx('Prices', [
		['number', 'grade', 'price', 'currency', 'kind'],
		['4', '8', '9', 'USD', 'asking'],
		['4', 'nm', '1.50', '', '']
	]);
	const long = await readGradedTable(new Uint8Array(sheet));
	expect(long.ok && (await importPrices(gulls.collection, long.value, defaults))).toMatchObject({
		ok: true,
		value: { prices: 2 }
	});
	expect(await cells('8')).toEqual(['3 6000', '2 4200', '4 not known']);
	const { problems } = await priceBookView(gulls.collection.db, release, today);
	expect(problems.map(({ message }) => message)).toEqual([
		'a price is in USD, and no rate leads to EUR'
	]);
	await setExchangeRates(gulls.collection, [{ from: 'USD', to: 'EUR', rate: 0.5 }]);
	expect((await priceBookView(gulls.collection.db, release, today)).problems).toEqual([]);
	const broken = await table(
		'card,grade,price,currency,on\n2,8,x,EUR,1996-01-01\n77,8,1,EUR,1996-01-01\n'
	);
	expect(messages(await importPrices(gulls.collection, broken, defaults))).toEqual([
		'3: there is no card 77'
	]);
	const wrong = await table(
		'card,grade,price,currency,kind\n2,8,x,EUR,\n3,8,1,EURO,sale\n4,8,1,,guess\n'
	);
	expect(messages(await importPrices(gulls.collection, wrong, defaults))).toEqual([
		'2: "x" is no amount',
		'3: "EURO" is no currency',
		'4: "guess" is no kind of price'
	]);
	expect((await priceBookView(gulls.collection.db, release, today)).count).toBe(6);
});

test.each<[string, readonly string[]]>([
	['8,9\n1,2', ['1: no column names the card']],
	['card\n1', ['1: no column holds a value']],
	['card,8,price\n1,2,3', ['1: the table is long and wide at once']],
	[
		'card,8,Grade 8,moon\n1,2,3,4',
		['1: the column "Grade 8" stands twice', '1: the column "moon" is not understood']
	],
	[
		'card,price,grade,on\n1,2,8.3,\n,2,8,\n1,,8,\n1,2,8,6.10.96',
		[
			'2: "8.3" is no grade or condition',
			'3: it names no card',
			'4: it has no value',
			'5: "6.10.96" is no day'
		]
	],
	['card,price\n', ['1: there is no row below the header']]
])('a table that cannot be read: %j', async (text, wanted) => {
	expect(messages(await readGradedTable(new TextEncoder().encode(text)))).toEqual(wanted);
});

test('populations: typed and as a table; sums that do not come out are told and kept; scarcer; what a house does not give', async () => {
	await keepHouse(gulls.collection, { name: 'Gull', grades: '', givesAuthentic: true });
	const kept = { release, house: 'Gull', on: '1996-08-31', source: '', total: '9' };
	expect(
		(
			await keepPopulation(gulls.collection, {
				...kept,
				card: '2',
				counts: '9: 2, 8: 6, authentic: 2'
			})
		).ok
	).toBe(true);
	const rows = await table('card,9,8,total\n3,10,30,40\n4,0,2,\n');
	expect(await importPopulations(gulls.collection, rows, defaults)).toMatchObject({
		ok: true,
		value: { reports: 2 }
	});
	const view = await populationsView(gulls.collection.db, { release, least: 8, against: null });
	expect(
		view.rows.map(({ name, graded, scarcer }) => [name, graded, scarcer?.times ?? null])
	).toEqual([
		['4', 2, 20],
		['2', 10, 4],
		['3', 40, null]
	]);
	expect(view.wrong).toMatchObject([{ name: '2', statedTotal: 9, sum: 10 }]);
	expect(await cells('9')).toEqual(['2 never sold', '3 never sold', '4 none graded']);
	expect(
		messages(
			await keepPopulation(gulls.collection, {
				...kept,
				card: '2-3',
				counts: '8: x',
				total: 'all',
				house: 'Tern'
			})
		)
	).toEqual([
		'this is not a single card',
		'"8: x" is no count',
		'there is no house "Tern"',
		'"all" is no sum'
	]);
	const bad = await table('card,nm\n2,3\n');
	expect(
		messages(await importPopulations(gulls.collection, bad, { ...defaults, house: '' }))
	).toEqual([
		'2: nothing says which house counted',
		'2: a population is of grades, not of conditions'
	]);
	expect(await removeRelease(gulls.collection, release)).toBe(true);
	await undo(gulls.collection);
	expect(
		(await populationsView(gulls.collection.db, { release, least: 8, against: null })).rows
	).toHaveLength(3);
});

test('worth of everything, a release, a goal: from summary rows that follow every change', async () => {
	const { collection } = gulls;
	await note('1 nm 5; 2 nm 7; 1 3; 2 grade 8 40');
	await addCopy(collection, `${release}/base-1`, { condition: 'near mint', quantity: 3 });
	await addCopy(collection, `${release}/base-2`, { grade: 8, house: 'Gull' });
	await addCopy(collection, `${release}/base-3`, { valueMinor: 250, currency: 'EUR' });
	await addCopy(collection, `${release}/base-4`, {});
	await addCopy(collection, `${release}/base-2`, { condition: 'near mint', status: 'incoming' });
	const made = await makeGoal(collection, { release, name: '', rules: { preset: 'base' } });
	// 3 × 5 near mint; a graded one of a house of which no sale is known; 2.50 by its owner; nothing is known of 4.
	expect(await worth({ sort: 'all' })).toMatchObject({
		copies: 6,
		unpriced: 2,
		totalMinor: 1750,
		lowerMinor: 875
	});
	await note('2 grade 8 44', { house: 'Gull' });
	expect(await worth({ sort: 'release', key: release })).toMatchObject({
		copies: 6,
		unpriced: 1,
		totalMinor: 1750 + 4400
	});
	if (!made.ok) throw new RangeError('no goal');
	expect(await worth({ sort: 'goal', id: made.value.id })).toMatchObject({
		copies: 4,
		totalMinor: 500 + 4400 + 250
	});
	await addCopy(collection, `${release}/base-1`, { condition: 'near mint' });
	expect(await worth({ sort: 'all' })).toMatchObject({ copies: 7 });
	await undo(collection);
	expect(await worth({ sort: 'all' })).toMatchObject({ copies: 6 });
	await redo(collection);
	const [summed] = await collection.db.select({ all: sql<number>`sum(quantity)` }).from(copySums);
	const [counted] = await collection.db.select({ all: sql<number>`sum(quantity)` }).from(copies);
	expect(summed).toEqual(counted);
	const [dear] = await collection.db.select().from(copies).where(eq(copies.grade, 8));
	const drawn = { width: 30, height: 42, channels: 3 as const, background: '#286' };
	await addPhoto(collection, dear?.id as never, await sharp({ create: drawn }).png().toBuffer());
	const listed = (form: 'csv' | 'xlsx' | 'pdf') =>
		insuranceList(collection.db, {
			...{ scope: { sort: 'all' }, leastMinor: 600, form, now: `${today}T09:00:00.000Z` },
			paper: { name: 'A4', widthMm: 210, heightMm: 297 } as never
		});
	const csv = await listed('csv');
	expect(
		String(csv)
			.split('\r\n')
			.map((line) => line.split(',').slice(1, 7).join('|'))
			.filter(Boolean)
	).toEqual([
		'Card|Condition or grade|House|Copies|"Each| EUR"',
		expect.stringContaining('|8|Gull|1|44.00|44.00') as string,
		'Cards worth less each|||5||22.50',
		'Without a known price|||1||',
		'All|||7||66.50'
	]);
	// The photo of the dear copy lies in the workbook beside its row, and behind the table on paper.
	const parts = Object.keys(unzipSync((await listed('xlsx')) as Uint8Array));
	expect(parts.filter((name) => /media\/.*jpe?g$/.test(name))).toHaveLength(1);
	const pdf = Buffer.from((await listed('pdf')) as Uint8Array).toString('latin1');
	expect(pdf.match(/\/Subtype \/Image/g)).toHaveLength(1);
	expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(2);
});
