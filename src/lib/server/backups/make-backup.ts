import { desc, eq } from 'drizzle-orm';
import type { Collection } from '../database/open.ts';
import type { Settings } from '../database/settings.ts';
import { journal } from '../database/tables/index.ts';
import { readPreference } from '../preferences/preferences.ts';
import { folderOf, listBackups, pruneBackups } from './backup-folder.ts';
import type { BackupName, BackupReason } from '../database/backups/backup-name.ts';
import { BACKUP_RULES } from './backup-rules.ts';
import { isDue } from './retention.ts';

/** Writes a backup into a folder, where nobody waits for it; gives the name of the file. */
export type WriteBackup = (folder: string, name: BackupName) => Promise<string>;

/**
 * Makes a backup while others go on, and removes what has outlived the rules.
 *
 * @returns the name of its file; null: the collection is kept elsewhere
 */
export async function makeBackup(
	{ db, now }: Collection,
	settings: Settings,
	reason: BackupReason,
	write: WriteBackup
): Promise<string | null> {
	const folder = folderOf(settings);
	if (folder === null) return null;
	const file = await write(folder, { at: now(), reason });
	await pruneBackups(folder, await readPreference(db, BACKUP_RULES));
	return file;
}

/** How often it is looked whether a backup is due. */
const LOOK_EVERY_MS = 3_600_000;
const FIRST_LOOK_MS = 60_000;

/** Makes backups by schedule as long as the server runs; what goes wrong is told, and tried again. */
export function scheduleBackups(
	theCollection: () => Promise<Collection>,
	settings: Settings,
	write: WriteBackup
): void {
	const folder = folderOf(settings);
	if (folder === null) return;
	const look = async () => {
		const collection = await theCollection();
		const rules = await readPreference(collection.db, BACKUP_RULES);
		const last = await lastStepAt(collection);
		if (!isDue(await listBackups(folder), rules, last, collection.now())) return;
		await makeBackup(collection, settings, 'by schedule', write);
	};
	const tell = (error: unknown) => console.error('no backup was made:', error);
	const turn = () => void look().catch(tell);
	setTimeout(turn, FIRST_LOOK_MS).unref();
	setInterval(turn, LOOK_EVERY_MS).unref();
}

/** When something was done last; null: never. */
export async function lastStepAt({ db }: Collection): Promise<string | null> {
	const [last] = await db
		.select({ at: journal.at })
		.from(journal)
		.where(eq(journal.state, 'done'))
		.orderBy(desc(journal.id))
		.limit(1);
	return last?.at ?? null;
}
