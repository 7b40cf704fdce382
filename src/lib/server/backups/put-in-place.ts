import { copyFile, open, rename, rm } from 'node:fs/promises';

/**
 * Puts a backup in the place of a database file that nobody has open; the present one is kept beside it.
 *
 * @returns puts the one that was there before back again
 * @throws what the file system says; then the present one is in its place
 */
export async function putInPlace(backup: string, path: string): Promise<() => Promise<void>> {
	const [incoming, before] = [`${path}.incoming`, `${path}.before`];
	await copyFile(backup, incoming);
	const file = await open(incoming, 'r');
	await file.sync();
	await file.close();
	const putBack = async () => {
		await rm(path, { force: true });
		await forgetLog(path);
		await rename(before, path);
	};
	await rename(path, before);
	try {
		await forgetLog(path);
		await rename(incoming, path);
	} catch (error) {
		await putBack();
		throw error;
	}
	return putBack;
}

/** What SQLite wrote ahead for the file that was there: it is empty once that one is closed. */
async function forgetLog(path: string): Promise<void> {
	for (const end of ['-wal', '-shm']) await rm(`${path}${end}`, { force: true });
}
