import type { BackupName } from '../database/backups/backup-name.ts';

/** How often a backup is made by itself, and how many of these are kept. */
export interface BackupRules {
	/** 0: never. */
	readonly everyDays: number;
	readonly keep: number;
}

/** Of those that are made before something, so many are kept. */
const KEPT_BEFORE = 5;
const DAY_MS = 86_400_000;

/**
 * Which backups may go: of those made by schedule, and of those made before an update or before restoring, the oldest beyond what
 * is kept. What somebody made or brought in by hand is never removed.
 */
export function outlived<Backup extends BackupName>(
	backups: readonly Backup[],
	{ keep }: BackupRules
): readonly Backup[] {
	const newestFirst = [...backups].sort((a, b) => (a.at < b.at ? 1 : -1));
	const beyond = (reasons: readonly BackupName['reason'][], most: number) =>
		newestFirst.filter(({ reason }) => reasons.includes(reason)).slice(most);
	return [
		...beyond(['by schedule'], keep),
		...beyond(['before an update', 'before restoring'], KEPT_BEFORE)
	];
}

/**
 * Whether it is time for one: the last is as many days old as the rule says, and something was done since.
 *
 * @param lastStepAt when something was done last, ISO 8601; null: never
 */
export function isDue(
	backups: readonly BackupName[],
	{ everyDays }: BackupRules,
	lastStepAt: string | null,
	now: string
): boolean {
	if (everyDays === 0 || lastStepAt === null) return false;
	// One that was brought in says when it came, not when it was made.
	const made = backups.filter(({ reason }) => reason !== 'brought in');
	const last = made.reduce((latest, { at }) => (at > latest ? at : latest), '');
	if (last === '') return true;
	const isChanged = Date.parse(lastStepAt) > Date.parse(last);
	return isChanged && Date.parse(now) - Date.parse(last) >= everyDays * DAY_MS;
}
