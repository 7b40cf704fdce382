/** Why a backup was made. */
export const BACKUP_REASONS = [
	'by hand',
	'by schedule',
	'before an update',
	'before restoring',
	'brought in'
] as const;
export type BackupReason = (typeof BACKUP_REASONS)[number];

/** A backup, as its file is named. */
export interface BackupName {
	/** ISO 8601, to the second, UTC. */
	readonly at: string;
	readonly reason: BackupReason;
}

/**
 * The name of a backup's file. Law: parse(format(x)) = x.
 *
 * @example formatBackupName({ at: '1996-10-06T09:00:00Z', reason: 'by hand' }) // 'jade-1996-10-06-090000-by-hand.db'
 */
export function formatBackupName({ at, reason }: BackupName): string {
	const [day = '', time = ''] = at.split('T');
	return `jade-${day}-${time.slice(0, 8).replaceAll(':', '')}-${reason.replaceAll(' ', '-')}.db`;
}

/** Reads such a name; null where it is none: nothing else in the folder is ever touched. */
export function parseBackupName(name: string): BackupName | null {
	const [, day, hours, minutes, seconds, words = ''] =
		/^jade-(\d{4}-\d{2}-\d{2})-(\d{2})(\d{2})(\d{2})-([a-z-]+)\.db$/.exec(name) ?? [];
	const reason = BACKUP_REASONS.find((each) => each.replaceAll(' ', '-') === words);
	const at = `${day}T${hours}:${minutes}:${seconds}Z`;
	return reason && !Number.isNaN(Date.parse(at)) ? { at, reason } : null;
}
