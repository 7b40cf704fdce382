import { createClient, type Client, type InValue } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { USUAL_CLASSES } from '../../core/storage/classes/keeping.ts';
import { HOLDER_RULES } from '../places/holder-tiers.ts';
import { readKeeping } from '../places/keeping.ts';
import { readPreference } from '../preferences/preferences.ts';
import { STORAGE_CLASSES } from '../preferences/storage-classes.ts';
import { STOCK } from '../storage/supplies/stock.ts';
import { lieAsPlanned } from '../binders/move-cards.ts';
import { readBinder } from '../binders/read-binder.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import { listGoals } from '../goals/read-goals.ts';
import { redo, undo } from '../journal/undo.ts';
import { loadRelease } from '../releases/load-release.ts';
import { labelTexts } from '../storage/labels/label-texts.ts';
import { readBoxes } from '../storage/room/read-storage.ts';
import { readDividers } from '../storage/room/read-box.ts';
import { makeSlip } from '../storage/slips/change-slips.ts';
import { readSlip } from '../storage/slips/slips.ts';
import { readSubject } from '../releases/read-subject.ts';
import { search } from '../search/search.ts';
import { readSettings } from './settings.ts';
import { valueView } from '../worth/value/value-view.ts';
import { openCollection } from '../upkeep/open-collection.ts';
import { rowId } from '../../core/row-id.ts';

let folder: string;
beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), 'jade-migrate-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A collection as the first migrations made it, with what `statements` put in. */
async function earlierCollection(
	migrations: number,
	fill: readonly string[] | ((client: Client) => Promise<void>)
): Promise<void> {
	const old = join(folder, 'drizzle');
	cpSync('drizzle', old, { recursive: true });
	const journalFile = join(old, 'meta', '_journal.json');
	const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as { entries: unknown[] };
	writeFileSync(
		journalFile,
		JSON.stringify({ ...journal, entries: journal.entries.slice(0, migrations) })
	);
	const client = createClient({ url: pathToFileURL(join(folder, 'jade.db')).href });
	await migrate(drizzle(client), { migrationsFolder: old });
	if (typeof fill === 'function') await fill(client);
	else for (const statement of fill) await client.execute(statement);
	client.close();
}

const copy = {
	id: 1,
	releaseId: 1,
	cardId: 1,
	parallelId: 1,
	quantity: 2,
	condition: null,
	loggedAt: 't'
};

test('a collection of the first migration opens, keeps its copies, and undoes its last step', async () => {
	await earlierCollection(1, [
		`INSERT INTO releases VALUES (1, 'r', 'R', 'M', '1994', NULL, '[]', '[]')`,
		`INSERT INTO sections VALUES (1, 1, 'base', 0, 'Base', 'base', NULL, NULL, '[]', '[]', NULL)`,
		`INSERT INTO cards VALUES (1, 1, 1, 'base-1', 0, '1', 'A', '[]', NULL, '[]', NULL)`,
		`INSERT INTO parallels VALUES (1, 1, 'brass', 0, 'Brass', NULL, NULL, '[{"sections":["base"],"printRun":5}]')`,
		`INSERT INTO copies VALUES (1, 1, 1, 1, 2, NULL, 't'), (2, 1, 1, NULL, 1, 'mint', 't')`,
		`INSERT INTO journal VALUES (1, 't', 'Log 1x2', 'done', '[1]', '${JSON.stringify([{ table: 'copies', before: [], after: [copy] }])}')`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	const owned = async () =>
		Object.fromEntries(countOwned(await readCopies(collection.db, rowId(1))));
	expect((await loadRelease(collection.db, 'r'))?.release.sections[0]?.listed).toBe(true);
	expect(await owned()).toEqual({ 'r/base-1~brass': 2, 'r/base-1': 1 });
	expect(await undo(collection)).toMatchObject({ label: 'Log 1x2' });
	expect(await owned()).toEqual({ 'r/base-1': 1 });
	await redo(collection);
	expect(await owned()).toEqual({ 'r/base-1~brass': 2, 'r/base-1': 1 });
	await collection.close();
});

test('a collection of the third migration keeps its goals with their progress, and is found by search', async () => {
	await earlierCollection(3, [
		`INSERT INTO releases VALUES (1, 'r', 'Gull Row', 'M', '1994', NULL, '[]', '[]')`,
		`INSERT INTO sections (id, release_id, key, position, name, kind, series, odds) VALUES (1, 1, 'base', 0, 'Base', 'base', '[]', '[]')`,
		`INSERT INTO cards (id, release_id, section_id, key, position, number, title, subjects, marks) VALUES (1, 1, 1, 'base-1', 0, '1', 'Ada', '[]', '[]')`,
		`INSERT INTO copies (id, release_id, card_key, quantity, condition, logged_at) VALUES (1, 1, 'base-1', 2, 'mint', 't')`,
		`INSERT INTO goals VALUES (1, 1, 'All', '{"preset":"strict-master"}', 't')`,
		`INSERT INTO goal_progress VALUES (1, 'base', '', 0, 1, 1)`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	expect(await listGoals(collection.db)).toMatchObject([
		{ name: 'All', have: 1, need: 1, rows: [{ releaseKey: 'r', sectionKey: 'base' }] }
	]);
	expect(await readCopies(collection.db, rowId(1))).toMatchObject([
		{ version: 'r/base-1', quantity: 2, condition: 'mint', status: 'kept', attributes: [] }
	]);
	expect(await search(collection.db, 'ada gull')).toMatchObject([{ title: 'Ada', owned: 2 }]);
	await collection.close();
});

test('a binder of the fifth migration lies as it did, and learns what lies in it', async () => {
	await earlierCollection(5, [
		`INSERT INTO releases VALUES (1, 'r', 'Gull Row', 'M', '1994', NULL, '[]', '[]')`,
		`INSERT INTO sections (id, release_id, key, position, name, kind, series, odds) VALUES (1, 1, 'base', 0, 'Base', 'base', '[]', '[]')`,
		`INSERT INTO cards (id, release_id, section_id, key, position, number, title, subjects, marks) VALUES (1, 1, 1, 'base-1', 0, '1', 'Ada', '[]', '[]'), (2, 1, 1, 'base-2', 1, '2', 'Bram', '[]', '[]')`,
		`INSERT INTO copies (id, release_id, card_key, quantity, condition, logged_at) VALUES (1, 1, 'base-2', 1, 'mint', 't')`,
		`INSERT INTO goals VALUES (1, 1, 'All', '{"preset":"complete"}', 't')`,
		`INSERT INTO binders VALUES (1, 1, 'B', '{"pageKind":"3x3","order":"number","blockStart":"new-page"}', 't')`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	const binder = await readBinder(collection.db, rowId(1));
	expect(binder?.layout).toMatchObject({ order: 'number', cardsAPocket: 2, missing: 'keep' });
	expect(binder?.plan.pages[0]?.pockets.slice(0, 3)).toEqual(['r/base-1', 'r/base-2', null]);
	expect(binder?.now).toEqual([]);
	await lieAsPlanned(collection, rowId(1));
	expect((await readBinder(collection.db, rowId(1)))?.now).toMatchObject([{ pocket: '1/1/3x3/2' }]);
	await collection.close();
});

test('a step whose cards are gone cannot be undone any more, later ones can', async () => {
	await earlierCollection(1, [
		`INSERT INTO releases VALUES (1, 'r', 'R', 'M', '1994', NULL, '[]', '[]')`,
		`INSERT INTO journal VALUES (1, 't', 'Remove S', 'done', '[]', '${JSON.stringify([{ table: 'copies', before: [{ ...copy, cardId: 9 }], after: [] }])}')`,
		`INSERT INTO journal VALUES (2, 't', 'Goal', 'done', '[]', '[]')`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	expect(await undo(collection)).toMatchObject({ label: 'Goal' });
	expect(await undo(collection)).toBeNull();
	await collection.close();
});

test('what stood behind a divider of a release keeps standing, and the divider is that of a run', async () => {
	await earlierCollection(9, [
		`INSERT INTO releases (id, key, name, maker, year, pack_types, rarities) VALUES (1, 'r', 'R', 'M', '1994', '[]', '[]')`,
		`INSERT INTO sections (id, release_id, key, position, name, kind, listed, series, odds, also_in) VALUES
			(1, 1, 'base', 0, 'Base', 'base', 1, '[]', '[]', '[]'), (2, 1, 'lens', 1, 'Lens', 'insert', 1, '[]', '[]', '[]')`,
		`INSERT INTO cards (id, release_id, section_id, key, position, number, title, subjects, marks) VALUES
			${[1, 2, 3, 4].map((n) => `(${n}, 1, 1, 'base-${n}', ${n}, '${n}', 'Card ${n}', '[]', '[]')`).join(', ')},
			(5, 1, 2, 'lens-1', 0, 'L1', 'Lens', '[]', '[]')`,
		`INSERT INTO copies (id, release_id, card_key, quantity, logged_at) VALUES
			(1, 1, 'base-1', 1, 't'), (2, 1, 'base-3', 1, 't'), (3, 1, 'lens-1', 1, 't'), (4, 1, 'base-2', 2, 't')`,
		`INSERT INTO boxes (id, position, name, kind, use) VALUES (1, 0, 'Long box 1', '5000', 'sets')`,
		`INSERT INTO dividers (id, box_id, row, position, label, release_id) VALUES (1, 1, 1, 0, 'Mine', 1)`,
		`INSERT INTO box_cards (divider_id, copy_id, quantity, um, mg) VALUES (1, 1, 1, 457, 1800), (1, 2, 1, 457, 1800), (1, 3, 1, 457, 1800)`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	const [divider] = await readDividers(collection.db, { boxes: [rowId(1)] });
	expect(divider).toMatchObject({ sectionKey: 'base', parallelKey: null, setNumber: 1, cards: 3 });
	expect(divider?.standing.map(({ number }) => number)).toEqual(['1', '3', 'L1']);
	// What stood before sums were kept is in them.
	expect(await readBoxes(collection.db)).toMatchObject([
		{ cards: 3, fill: expect.any(Number) as number }
	]);
	// Of the two 2s one goes between its neighbours; the double is a run apart.
	await makeSlip(collection, 'put away', '', { of: 'homeless' });
	const lines = (await readSlip(collection.db, rowId(1)))?.lines ?? [];
	expect(lines).toMatchObject([
		{ quantity: 1, place: { divider: 'Mine', after: '1', before: '3' } }
	]);
	const [label] = await labelTexts(collection.db, {
		...{ sort: 'boxes', boxIds: [], address: '', date: '1996-10-06' }
	});
	expect(label?.lines).toEqual([
		'Long box 1 · 3 of 4 · 1996-10-06',
		'Missing: 4',
		'no place yet: 2'
	]);
	await collection.close();
});

test('storage classes of one’s own keep what was kept apart before them, and what was on hand is counted on', async () => {
	const classes = [{ name: 'Ada', where: { subjects: ['Ada Hale'] } }];
	const tiers = [{ name: 'dear', fromMinor: 500, holder: 'top-loader' }];
	const rules = { tiers, names: [], onHand: { sleeve: 40, 'top-loader-35': 3 } };
	await earlierCollection(25, [
		`INSERT INTO preferences (key, value) VALUES ('storage-classes', '${JSON.stringify(classes)}'),
			('holders', '${JSON.stringify(rules)}')`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	const { db } = collection;
	expect(await readPreference(db, STORAGE_CLASSES)).toEqual([...classes, ...USUAL_CLASSES]);
	expect(await readPreference(db, HOLDER_RULES)).toEqual({ tiers, names: [] });
	expect(await readPreference(db, STOCK)).toEqual({
		'holder:sleeve': { count: 40 },
		'holder:top-loader-35': { count: 3 }
	});
	const { useOf } = await readKeeping(db);
	expect(useOf({ card: { isGraded: true, subjects: ['Wren'] }, holder: 'slab' }).use).toBe(
		'graded'
	);
	expect(useOf({ card: { valueMinor: 500 }, holder: null }).use).toBe('dear');
	await collection.close();
});

test('what copies there are is summed up for worth, and prices stay as they were', async () => {
	await earlierCollection(37, [
		`INSERT INTO releases (id, key, name, maker, year, pack_types, rarities) VALUES (1, 'r', 'R', 'M', '1994', '[]', '[]')`,
		`INSERT INTO copies (id, release_id, card_key, quantity, condition, logged_at) VALUES
			(1, 1, 'base-1', 2, 'near mint', 't'), (2, 1, 'base-1', 1, 'near mint', 't'), (3, 1, 'base-2', 1, NULL, 't')`,
		`INSERT INTO price_points (release_id, card_key, condition, low_minor, high_minor, currency, kind, said_on) VALUES
			(1, 'base-1', 'near mint', 500, 500, 'EUR', 'sale', '1996-09-01')`
	]);
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	const { worth } = await valueView(collection.db, {
		...{ scope: { sort: 'all' }, today: '1996-10-06' }
	});
	expect(worth).toMatchObject({ copies: 4, unpriced: 1, totalMinor: 1500 });
	await collection.close();
});

const { entries } = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as Journal;
/** Every third migration, from the last one back; JADE_FUZZ_RUNS for all of them. */
const VERSIONS = entries
	.map((_, i) => entries.length - i)
	.filter((_, i) => process.env.JADE_FUZZ_RUNS !== undefined || i % 3 === 0);
interface Journal {
	readonly entries: readonly unknown[];
}

/** What a row says, whatever else its table had then. */
const ROWS: readonly (readonly [table: string, row: Readonly<Record<string, InValue>>])[] = [
	['releases', { id: 1, key: 'r', name: 'Gull Row', maker: 'M', year: '1994', note: 'n' }],
	['sections', { id: 1, release_id: 1, key: 'base', name: 'Base', kind: 'base' }],
	[
		'cards',
		{
			id: 1,
			release_id: 1,
			section_id: 1,
			key: 'base-1',
			number: '1',
			title: 'Ada',
			subjects: '["Ada Hale"]'
		}
	],
	[
		'cards',
		{ id: 2, release_id: 1, section_id: 1, key: 'base-2', number: '2', title: 'Bram', position: 1 }
	],
	[
		'parallels',
		{ id: 1, release_id: 1, key: 'brass', name: 'Brass', runs: '[{"sections":["base"]}]' }
	],
	['goals', { id: 1, release_id: 1, name: 'All', rules: '{"preset":"complete"}', created_at: 't' }],
	[
		'copies',
		{
			id: 1,
			release_id: 1,
			card_id: 1,
			card_key: 'base-1',
			quantity: 2,
			condition: 'mint',
			logged_at: 't'
		}
	],
	[
		'copies',
		{
			id: 2,
			release_id: 1,
			card_id: 1,
			card_key: 'base-1',
			parallel_id: 1,
			parallel_key: 'brass',
			quantity: 1,
			logged_at: 't'
		}
	]
];

async function insertRows(client: Client): Promise<void> {
	for (const [table, row] of ROWS) {
		const { rows: columns } = await client.execute(`PRAGMA table_info(${table})`);
		const said = columns.flatMap(({ name, notnull, dflt_value: usual, type }) => {
			const value = row[String(name)];
			if (value !== undefined) return [[String(name), value] as const];
			if (notnull !== 1 || usual !== null) return [];
			return [[String(name), String(type).toLowerCase() === 'integer' ? 0 : '[]'] as const];
		});
		if (said.length === 0) continue;
		await client.execute({
			sql: `INSERT INTO ${table} (${said.map(([name]) => name).join()}) VALUES (${said.map(() => '?').join()})`,
			args: said.map(([, value]) => value)
		});
	}
}

test.each(VERSIONS)(
	'a collection of migration %i opens with all that was in it, and goes on',
	async (migrations) => {
		await earlierCollection(migrations, insertRows);
		const collection = await openCollection(readSettings({ JADE_DATA: folder }));
		const { db } = collection;
		const owned = countOwned(await readCopies(db, rowId(1)));
		expect(Object.fromEntries(owned)).toEqual({ 'r/base-1': 2, 'r/base-1~brass': 1 });
		const release = (await loadRelease(db, 'r'))?.release;
		expect(release?.sections[0]?.cards.map(({ title }) => title)).toEqual(['Ada', 'Bram']);
		expect(await search(db, 'ada gull')).toMatchObject([{ title: 'Ada', owned: 3 }]);
		expect(await readSubject(db, 'Ada Hale')).toMatchObject([{ cardKey: 'base-1' }]);
		const goals = await db.all<{ goals: number }>('SELECT count(*) AS goals FROM goals');
		expect((await listGoals(db)).length).toBe(goals[0]?.goals);
		await collection.close();
	}
);
