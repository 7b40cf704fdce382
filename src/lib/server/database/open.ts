import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { mkdir } from 'node:fs/promises';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Settings } from './settings.ts';
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
	readonly now: () => string;
	readonly upkeep: Upkeep;
	readonly close: () => void;
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

/** Opens the database that the settings name and brings it up to date; makes it when there is none. */
export async function openDatabase(settings: Settings, upkeep: Upkeep): Promise<Collection> {
	const isFile = settings.databaseUrl.startsWith('file:');
	if (isFile) await mkdir(folderOf(settings.databaseUrl), { recursive: true });
	// A lock that another process holds is waited for between tries (`writeQueue`), never in a call: while a
	// call waits, nobody is served.
	const client = createClient({ url: settings.databaseUrl, timeout: 50 });
	if (isFile) await client.execute('PRAGMA journal_mode = WAL');
	const db = drizzle(client, { casing: 'snake_case' });
	await migrate(db, { migrationsFolder: resolve(settings.root, 'drizzle') });
	return {
		db,
		write: writeQueue(db),
		upkeep,
		now: () => settings.fixedNow ?? new Date().toISOString(),
		close: () => closeClient(client)
	};
}

/** libSQL's file client has one writer: a second transaction at the same time fails with SQLITE_BUSY. */
function writeQueue(db: Database): Collection['write'] {
	let last: Promise<unknown> = Promise.resolve();
	return (change) => {
		const next = last.then(() => whenFree(() => db.transaction(change)));
		last = next.catch(() => undefined);
		return next;
	};
}

/** How often a write tries to get the lock, and how long it rests in between: about ten seconds in all. */
const TRIES = 60;
const REST_MS = 120;

/** Tries again while another process holds the lock of the database file. */
async function whenFree<Result>(write: () => Promise<Result>): Promise<Result> {
	for (let tries = 1; ; tries++) {
		try {
			return await write();
		} catch (error) {
			if (tries >= TRIES || !isBusy(error)) throw error;
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

function folderOf(url: string): string {
	return url.startsWith('file://') ? dirname(fileURLToPath(url)) : dirname(resolve(url.slice(5)));
}

function closeClient(client: Client): void {
	if (!client.closed) client.close();
}
