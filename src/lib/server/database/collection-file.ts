import type { Client } from '@libsql/client';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { mkdir, open, stat } from 'node:fs/promises';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { codesOf, StartProblem } from './start-problem.ts';

/** The path of a database that is a file; null: it is kept elsewhere, or in memory. */
export function pathOfDatabase(url: string): string | null {
	if (url.startsWith('file://')) return fileURLToPath(url);
	return url.startsWith('file:') && !url.includes(':memory:') ? resolve(url.slice(5)) : null;
}

/** What every SQLite database begins with (sqlite.org/fileformat2.html, 1.3.1). */
const HEADER = 'SQLite format 3\0';

/**
 * Makes the folder of a database file, and refuses a file that is no database: an empty one would silently become a new
 * collection where an old one has been.
 *
 * @throws StartProblem
 */
export async function checkFile(path: string): Promise<void> {
	await mkdir(dirname(path), { recursive: true });
	const known = await stat(path).catch((error: unknown) => {
		if (!codesOf(error).includes('ENOENT')) throw error;
	});
	if (!known) return;
	if (known.isDirectory()) {
		throw new StartProblem(`${path} is a folder`, 'Name another folder with JADE_DATA.');
	}
	if (known.size === 0) {
		throw new StartProblem(
			`${path} is empty, and no collection`,
			'Put a backup in its place; or remove it, and a new collection is begun.'
		);
	}
	const file = await open(path, 'r');
	try {
		const { buffer } = await file.read(Buffer.alloc(HEADER.length), 0, HEADER.length, 0);
		if (buffer.toString('latin1') === HEADER) return;
	} finally {
		await file.close();
	}
	throw new StartProblem(
		`${path} is no collection`,
		'Put it aside, and put a backup in its place; or name another folder with JADE_DATA.'
	);
}

/** How far a database is behind this program. */
export interface Standing {
	/** It holds nothing yet. */
	readonly isNew: boolean;
	/** Migrations that it has not seen. */
	readonly pending: number;
}

/**
 * How far a database is behind this program.
 *
 * @throws StartProblem for one that another program made, or a newer version of this one
 */
export async function standingOf(client: Client, migrationsFolder: string): Promise<Standing> {
	const { rows } = await client.execute(`SELECT name FROM sqlite_master WHERE type = 'table'`);
	const names = rows.map(({ name }) => name as string);
	const known = readMigrationFiles({ migrationsFolder }).map(({ folderMillis }) => folderMillis);
	if (names.length === 0) return { isNew: true, pending: known.length };
	if (!names.includes('__drizzle_migrations')) {
		throw new StartProblem(
			'this database was made by another program',
			'Name another file with DATABASE_URL, or another folder with JADE_DATA. It was not changed.'
		);
	}
	const seen = await client.execute('SELECT created_at FROM __drizzle_migrations');
	const done = new Set(seen.rows.map((row) => Number(row.created_at)));
	if ([...done].some((when) => !known.includes(when))) {
		throw new StartProblem(
			'this collection was made by a newer version of Jade Binder',
			'Start that version, or restore a backup that was made before. It was not changed.'
		);
	}
	return { isNew: done.size === 0, pending: known.filter((when) => !done.has(when)).length };
}
