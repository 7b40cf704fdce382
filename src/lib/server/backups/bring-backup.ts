import { mkdir, rm, writeFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { bad, good, type Outcome } from '../../core/problem.ts';
import { freePath } from '../database/backups/write-backup.ts';

/** Puts a file among the backups, under a name of ours; whether it is one is looked at afterwards. */
export async function bringBackup(
	folder: string,
	bytes: Uint8Array,
	now: string
): Promise<Outcome<{ readonly file: string; readonly takeAway: () => Promise<void> }>> {
	if (bytes.byteLength === 0) {
		return bad([{ field: 'file', message: 'there is no file', remedy: 'Choose a backup.' }]);
	}
	await mkdir(folder, { recursive: true });
	const path = await freePath(folder, { at: now, reason: 'brought in' });
	await writeFile(path, bytes);
	return good({ file: basename(path), takeAway: () => rm(path, { force: true }) });
}
