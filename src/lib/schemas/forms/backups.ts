import { Type } from 'typebox';

/* Forms of backups. */

/** A backup by the name of its file. */
export const BackupFormSchema = Type.Object({
	file: Type.String({ minLength: 1, maxLength: 100, description: 'Choose a backup.' })
});
/** How often one is made by itself. */
export const BackupRulesFormSchema = Type.Object({
	everyDays: Type.Integer({ minimum: 0, maximum: 90, description: 'Write 0 to 90; 0: never.' }),
	keep: Type.Integer({ minimum: 1, maximum: 100, description: 'Write 1 to 100.' })
});
