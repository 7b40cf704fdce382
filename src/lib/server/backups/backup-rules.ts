import { good, type Outcome } from '../../core/problem.ts';
import { BackupRulesSchema } from '../../schemas/backup-rules.ts';
import type { Collection } from '../database/open.ts';
import { makeChange } from '../journal/change.ts';
import { writePreference, type Preference } from '../preferences/preferences.ts';
import type { BackupRules } from './retention.ts';

/** A backup a day, of those that are made so the last seven: an assumption of ours. */
export const BACKUP_RULES: Preference<typeof BackupRulesSchema> = {
	key: 'backups',
	schema: BackupRulesSchema,
	usual: { everyDays: 1, keep: 7 }
};

export function setBackupRules(collection: Collection, rules: BackupRules): Promise<Outcome<null>> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, BACKUP_RULES, rules);
		return { value: good(null), label: 'How often backups are made' };
	});
}
