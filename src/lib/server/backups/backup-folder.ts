import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { backupFolder } from '../database/open.ts';
import { pathOfDatabase } from '../database/collection-file.ts';
import type { Settings } from '../database/settings.ts';
import { parseBackupName, type BackupName } from '../database/backups/backup-name.ts';
import { outlived, type BackupRules } from './retention.ts';

/** A backup that is there. */
export interface Backup extends BackupName {
	readonly file: string;
	readonly bytes: number;
}

/** Where backups lie; null: the collection is kept by a server elsewhere, which has its own. */
export function folderOf({ databaseUrl }: Settings): string | null {
	const path = pathOfDatabase(databaseUrl);
	return path === null ? null : backupFolder(path);
}

/** The backups of a folder, the newest first; other files are passed over. */
export async function listBackups(folder: string): Promise<readonly Backup[]> {
	const names = await readdir(folder).catch(() => []);
	const found = await Promise.all(
		names.map(async (file): Promise<readonly Backup[]> => {
			const name = parseBackupName(file);
			if (!name) return [];
			const known = await stat(join(folder, file)).catch(() => null);
			return known?.isFile() ? [{ ...name, file, bytes: known.size }] : [];
		})
	);
	return found.flat().sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** The path of a backup by the name of its file; null where there is none: nothing else of the disk is ever named so. */
export async function pathOfBackup(folder: string, file: string): Promise<string | null> {
	const known = (await listBackups(folder)).some((backup) => backup.file === file);
	return known ? join(folder, file) : null;
}

/** Removes what has outlived the rules. */
export async function pruneBackups(folder: string, rules: BackupRules): Promise<void> {
	for (const { file } of outlived(await listBackups(folder), rules)) {
		await rm(join(folder, file), { force: true });
	}
}
