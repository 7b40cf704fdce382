import { createClient } from '@libsql/client';
import { createHash } from 'node:crypto';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import {
	copyFileSync,
	cpSync,
	mkdirSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { parseBackupName } from './backups/backup-name.ts';
import { sampleRelease } from '../collection.fixture.ts';
import { importRelease } from '../checklists/import-release.ts';
import { logLine } from '../copies/log.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import { loadRelease } from '../releases/load-release.ts';
import { openCollection } from '../upkeep/open-collection.ts';
import type { Collection } from './open.ts';
import { readSettings, type Settings } from './settings.ts';
import { asStartProblem, StartProblem } from './start-problem.ts';

let folder: string;
let file: string;
let settings: Settings;
beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), 'jade-start-'));
	file = join(folder, 'jade.db');
	settings = readSettings({ JADE_DATA: folder, JADE_NOW: '1996-10-06T09:00:00.000Z' });
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const execute = async (path: string, statements: readonly string[]) => {
	const client = createClient({ url: pathToFileURL(path).href });
	for (const statement of statements) await client.execute(statement);
	await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
	client.close();
};

/** A collection with three copies, closed. */
async function makeCollection(): Promise<void> {
	const collection = await openCollection(settings);
	await importRelease(collection, sampleRelease());
	await logLine(collection, 'r', { line: '1-3', numbering: null, parallel: null });
	await collection.close();
}

async function owned(collection: Collection): Promise<number> {
	const stored = await loadRelease(collection.db, 'r');
	return stored ? countOwned(await readCopies(collection.db, stored.id)).size : 0;
}

/** The migrations but for some of the last, and one that fails in the middle if asked. */
function otherMigrations({ without = 0, failing = false }): Settings {
	const root = join(folder, 'program');
	cpSync('drizzle', join(root, 'drizzle'), { recursive: true });
	const journal = join(root, 'drizzle', 'meta', '_journal.json');
	const known = JSON.parse(readFileSync(journal, 'utf8')) as { entries: object[] };
	const entries = known.entries.slice(0, known.entries.length - without);
	if (failing) {
		entries.push({
			idx: entries.length,
			version: '6',
			when: 9e12,
			tag: 'failing',
			breakpoints: true
		});
		const sql = ['DELETE FROM `copies`', 'SELECT nothing FROM nowhere'];
		writeFileSync(join(root, 'drizzle', 'failing.sql'), sql.join('\n--> statement-breakpoint\n'));
	}
	writeFileSync(journal, JSON.stringify({ ...known, entries }));
	return { ...settings, root };
}

describe('a collection that cannot be opened is told, and is as it was', () => {
	test.each<[string, () => Promise<void> | void, RegExp, RegExp]>([
		['an empty file', () => writeFileSync(file, ''), /jade\.db is empty/, /backup/],
		['a text', () => writeFileSync(file, 'number,title\n1,Ada\n'), /is no collection/, /backup/],
		['half a header', () => writeFileSync(file, 'SQLite'), /is no collection/, /backup/],
		['a folder', () => mkdirSync(file), /is a folder/, /JADE_DATA/],
		[
			'a database of another program',
			() => execute(file, ['CREATE TABLE stamps (id INTEGER)', 'INSERT INTO stamps VALUES (7)']),
			/another program/,
			/not changed/
		],
		[
			'a newer version',
			async () => {
				await makeCollection();
				await execute(file, [
					`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9000000000000)`,
					'ALTER TABLE copies ADD COLUMN scent TEXT'
				]);
			},
			/newer version/,
			/backup/
		],
		[
			'pages that were overwritten',
			async () => {
				await makeCollection();
				const bytes = readFileSync(file);
				bytes.fill(0x5a, 100, 4096 * 12);
				writeFileSync(file, bytes);
			},
			/is damaged|is no collection/,
			/backup/
		]
	])('%s', async (_, make, message, remedy) => {
		await make();
		const before = digestOf(file);
		const told = await openCollection(settings).then(
			() => null,
			(error: unknown) => error
		);
		expect(told).toBeInstanceOf(StartProblem);
		expect((told as StartProblem).message).toMatch(message);
		expect((told as StartProblem).remedy).toMatch(remedy);
		expect(digestOf(file)).toBe(before);
		expect(readdirSync(folder)).not.toContain('backups');
	});

	test('a data folder that is a file', async () => {
		writeFileSync(file, 'x');
		const within = readSettings({ JADE_DATA: join(file, 'data') });
		await expect(openCollection(within)).rejects.toThrow(/a part of its path is a file/);
		expect(readFileSync(file, 'utf8')).toBe('x');
	});

	test('a second server is refused while the first runs, and may come when it has gone', async () => {
		const first = await openCollection(settings);
		await importRelease(first, sampleRelease());
		await expect(openCollection(settings)).rejects.toThrow(/another server has .*jade\.db open/);
		await logLine(first, 'r', { line: '1-3', numbering: null, parallel: null });
		await first.close();
		const second = await openCollection(settings);
		expect(await owned(second)).toBe(3);
		await second.close();
	});

	test('another program holds the database: it is waited for, then told', async () => {
		await makeCollection();
		const client = createClient({ url: settings.databaseUrl });
		const held = await client.transaction('write');
		const opening = openCollection(settings);
		setTimeout(() => held.close(), 700);
		const collection = await opening;
		expect(await owned(collection)).toBe(3);
		await collection.close();
		client.close();
	});

	// Codes as they come from the system and from SQLite: root, as which tests may run, may write everywhere.
	test.each<[string, RegExp]>([
		['EACCES', /cannot be written/],
		['EROFS', /cannot be written/],
		['SQLITE_READONLY', /cannot be written/],
		['SQLITE_READONLY_DIRECTORY', /cannot be written/],
		['ENOSPC', /no room left/],
		['SQLITE_FULL', /no room left/],
		['SQLITE_BUSY', /another program holds/],
		['SQLITE_IOERR_WRITE', /cannot be read or written/],
		['SQLITE_CANTOPEN', /cannot be read or written/],
		['SQLITE_CORRUPT_VTAB', /damaged/]
	])('%s is said in words', (code, says) => {
		const cause = Object.assign(new Error('low down'), { code });
		const problem = asStartProblem(new Error('Failed query', { cause }), 'jade.db');
		expect(problem?.message).toMatch(says);
		expect(problem?.remedy).not.toBe('');
	});

	test('a fault of the program is none of these', () => {
		expect(asStartProblem(new TypeError('x is not a function'), 'jade.db')).toBeNull();
	});
});

/** A file's content, in short; empty: it is none. */
const digestOf = (path: string): string => {
	try {
		return createHash('sha256').update(readFileSync(path)).digest('hex');
	} catch {
		return '';
	}
};

describe('brought up to date', () => {
	test('a migration that fails in the middle changes nothing; a backup was made; the right one then goes on', async () => {
		await makeCollection();
		const failing = otherMigrations({ failing: true });
		await expect(openCollection(failing)).rejects.toThrow();
		expect(backupsIn(folder)).toMatchObject([
			{ reason: 'before an update', at: '1996-10-06T09:00:00Z' }
		]);
		const collection = await openCollection(settings);
		expect(await owned(collection)).toBe(3);
		await collection.close();
	});

	test('the backup before an update is a collection of the version before', async () => {
		const earlier = otherMigrations({ without: 3 });
		const client = createClient({ url: settings.databaseUrl });
		await migrate(drizzle(client), { migrationsFolder: join(earlier.root, 'drizzle') });
		await client.execute(
			`INSERT INTO releases (id, key, name, maker, year, pack_types, rarities) VALUES (1, 'r', 'Gull Row', 'M', '1994', '[]', '[]')`
		);
		client.close();
		await (await openCollection(settings)).close();
		const [name = ''] = readdirSync(join(folder, 'backups'));
		const restored = mkdtempSync(join(folder, 'restored-'));
		copyFileSync(join(folder, 'backups', name), join(restored, 'jade.db'));
		const old = await openCollection({
			...earlier,
			databaseUrl: pathToFileURL(join(restored, 'jade.db')).href
		});
		expect((await loadRelease(old.db, 'r'))?.release.name).toBe('Gull Row');
		await old.close();
	});

	test('a new collection, and one that is up to date, need no backup', async () => {
		await makeCollection();
		await (await openCollection(settings)).close();
		expect(backupsIn(folder)).toEqual([]);
	});
});

const backupsIn = (of: string) => {
	const names = readdirSync(of).includes('backups') ? readdirSync(join(of, 'backups')) : [];
	return names.map((name) => parseBackupName(name));
};

test('closed, a collection is in its one file, changes that were under way too', async () => {
	const collection = await openCollection(settings);
	await importRelease(collection, sampleRelease());
	const last = logLine(collection, 'r', { line: '4-9', numbering: null, parallel: null });
	await collection.close();
	expect(await last).toMatchObject({ ok: true });
	const elsewhere = mkdtempSync(join(folder, 'copy-'));
	copyFileSync(file, join(elsewhere, 'jade.db'));
	const copied = await openCollection(readSettings({ JADE_DATA: elsewhere }));
	expect(await owned(copied)).toBe(6);
	await copied.close();
});
