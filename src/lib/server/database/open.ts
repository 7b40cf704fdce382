import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { join, dirname, resolve } from 'node:path';
import { writeBackup } from './backups/write-backup.ts';
import { createNews, type News } from './news.ts';
import { checkFile, pathOfDatabase, standingOf } from './collection-file.ts';
import { holdFile } from './hold-file.ts';
import type { Settings } from './settings.ts';
import { sqlLog } from './sql-log.ts';
import { asStartProblem } from './start-problem.ts';
import type { Upkeep } from './upkeep.ts';

export type Database = LibSQLDatabase;
/** The database, or a transaction on it: what a read takes. */
export type Reader = Pick<Database, 'select' | 'selectDistinct' | 'all'>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** An open collection. Writes pass `write`, one after the other; reads use `db` at any time. */
export interface Collection {
	readonly db: Database;
	/** Runs a change in a transaction of its own, after all changes asked for before it. */
	readonly write: <Result>(change: (tx: Transaction) => Promise<Result>) => Promise<Result>;
	/** Has another process write, when its turn has come: until it is done, nothing is written here. */
	readonly aside: <Result>(work: () => Promise<Result>) => Promise<Result>;
	readonly now: () => string;
	readonly upkeep: Upkeep;
	readonly news: News;
	/** Ends after the changes that were asked for, and brings them all into the one file. */
	readonly close: () => Promise<void>;
}

/** A client of its own that only reads, for a worker; it is closed after the reading. */
export async function withReader<Result>(
	settings: Settings,
	read: (db: Reader) => Promise<Result>
): Promise<Result> {
	const client = createClient({ url: settings.databaseUrl, timeout: 50 });
	try {
		return await read(drizzle(client, { casing: 'snake_case' }));
	} finally {
		closeClient(client);
	}
}

/**
 * The collection that another process has open, for a worker to change.
 *
 * @param takeTurn is waited for before each change
 */
export function openWriter(
	settings: Settings,
	upkeep: Upkeep,
	takeTurn: () => Promise<void>
): Collection {
	const client = createClient({ url: settings.databaseUrl, timeout: 50 });
	const db = drizzle(client, { casing: 'snake_case' });
	const { write, aside } = writeQueue(client, db);
	const news = createNews();
	return {
		...{ db, aside, upkeep, news },
		write: (change) => takeTurn().then(() => write(change)),
		now: () => nowOf(settings),
		close: () => Promise.resolve(closeClient(client))
	};
}

/**
 * Opens the database that the settings name and brings it up to date, after a backup; makes it when there is none.
 *
 * @throws StartProblem where that cannot be done: the file is then as it was
 */
export async function openDatabase(settings: Settings, upkeep: Upkeep): Promise<Collection> {
	const path = pathOfDatabase(settings.databaseUrl);
	const undo: (() => void)[] = [];
	try {
		if (path !== null) {
			await checkFile(path);
			undo.push(await holdFile(path));
		}
		// A lock that another process holds is waited for between tries (`writeQueue`), never in a call: while a
		// call waits, nobody is served.
		const client = createClient({ url: settings.databaseUrl, timeout: 50 });
		undo.push(() => closeClient(client));
		const { sqlLogFile } = settings;
		const db = drizzle(client, {
			casing: 'snake_case',
			...(sqlLogFile === null ? {} : { logger: sqlLog(sqlLogFile) })
		});
		const { write, aside } = writeQueue(client, db);
		const news = createNews();
		// What cannot be written is told now, not at the first change; another program that writes is waited for.
		await write(() => Promise.resolve());
		await bringUpToDate(client, db, settings, path);
		return {
			...{ db, write, aside, upkeep, news },
			now: () => nowOf(settings),
			async close() {
				try {
					await write(() => Promise.resolve());
					if (path !== null) await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
				} finally {
					news.end();
					for (const close of undo.reverse()) close();
				}
			}
		};
	} catch (error) {
		for (const close of undo.reverse()) close();
		throw asStartProblem(error, path ?? 'the database') ?? error;
	}
}

const nowOf = ({ fixedNow }: Settings): string => fixedNow ?? new Date().toISOString();

async function bringUpToDate(
	client: Client,
	db: Database,
	settings: Settings,
	path: string | null
): Promise<void> {
	const migrationsFolder = resolve(settings.root, 'drizzle');
	const { isNew, pending } = await standingOf(client, migrationsFolder);
	if (path !== null) await client.execute('PRAGMA journal_mode = WAL');
	if (path !== null && !isNew && pending > 0) {
		const at = nowOf(settings);
		await writeBackup(settings.databaseUrl, backupFolder(path), { at, reason: 'before an update' });
	}
	// All of them in one transaction: broken off, none was made.
	await migrate(db, { migrationsFolder });
}

/** Where the backups of a database file lie. */
export const backupFolder = (path: string): string => join(dirname(path), 'backups');

/** libSQL's file client has one writer: a second transaction at the same time fails with SQLITE_BUSY. */
function writeQueue(client: Client, db: Database): Pick<Collection, 'write' | 'aside'> {
	let last: Promise<unknown> = Promise.resolve();
	const inTurn = <Result>(work: () => Promise<Result>): Promise<Result> => {
		const next = last.then(work);
		last = next.catch(() => undefined);
		return next;
	};
	return {
		write: (change) => inTurn(() => whenFree(client, () => db.transaction(change))),
		aside: inTurn
	};
}

/** How often a write tries to get the lock, and how long it rests in between: about ten seconds in all. */
const TRIES = 60;
const REST_MS = 120;

/**
 * Tries again while another process holds the lock of the database file; on a new connection: the old one has not ended the
 * statement that was refused, so that it could not commit.
 */
async function whenFree<Result>(client: Client, write: () => Promise<Result>): Promise<Result> {
	for (let tries = 1; ; tries++) {
		try {
			return await write();
		} catch (error) {
			if (tries >= TRIES || !isBusy(error)) throw error;
			client.reconnect();
			await new Promise((resume) => setTimeout(resume, REST_MS));
		}
	}
}

function isBusy(error: unknown): boolean {
	for (let cause = error; cause instanceof Error; cause = cause.cause) {
		if (/SQLITE_BUSY|database is locked/.test(cause.message)) return true;
	}
	return false;
}

function closeClient(client: Client): void {
	if (!client.closed) client.close();
}
