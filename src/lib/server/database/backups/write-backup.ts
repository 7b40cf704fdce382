import { createClient } from '@libsql/client';
import { mkdir, open, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { formatBackupName, type BackupName } from './backup-name.ts';

/**
 * Writes all of a database, pictures too, into one file of a folder while others go on using it; what was written is read again
 * from end to end before it gets its name, so that no backup is ever half of one.
 *
 * @returns the path of the file
 * @throws what SQLite or the file system says, and RangeError for what does not read back; then no file is left
 */
export async function writeBackup(url: string, folder: string, name: BackupName): Promise<string> {
	await mkdir(folder, { recursive: true });
	const path = await freePath(folder, name);
	const part = `${path}.part`;
	await rm(part, { force: true });
	try {
		const client = createClient({ url, timeout: 5000 });
		try {
			await client.execute({ sql: 'VACUUM INTO ?', args: [part] });
		} finally {
			client.close();
		}
		await checkBackup(part);
		await flush(part);
		await rename(part, path);
		await flushFolder(folder);
		return path;
	} catch (error) {
		await rm(part, { force: true });
		throw error;
	}
}

/** Where no backup lies yet: a second later for each that was made in the same one. */
export async function freePath(folder: string, { at, reason }: BackupName): Promise<string> {
	const known = new Set(await readdir(folder));
	for (let moment = Date.parse(at); ; moment += 1000) {
		const file = formatBackupName({ at: new Date(moment).toISOString(), reason });
		if (!known.has(file)) return join(folder, file);
	}
}

/** @throws RangeError where it is damaged */
async function checkBackup(path: string): Promise<void> {
	const client = createClient({ url: pathToFileURL(path).href });
	try {
		const { rows } = await client.execute('PRAGMA integrity_check(3)');
		const said = rows.map((row) => row.integrity_check as string);
		if (said.join() !== 'ok') throw new RangeError(`checkBackup: ${said.join('; ')}`);
	} finally {
		client.close();
	}
}

/** A name is on the disk when its folder is. Windows opens no folder, and keeps its names by itself. */
async function flushFolder(path: string): Promise<void> {
	if (process.platform !== 'win32') await flush(path);
}

async function flush(path: string): Promise<void> {
	const file = await open(path, 'r');
	try {
		await file.sync();
	} finally {
		await file.close();
	}
}
