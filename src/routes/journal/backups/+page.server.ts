import { join } from 'node:path';
import { BackupFormSchema, BackupRulesFormSchema } from '$lib/schemas/forms/backups';
import { bad, good } from '$lib/core/problem';
import { answer } from '$lib/server/answer';
import { bringBackup } from '$lib/server/backups/bring-backup';
import { folderOf, listBackups, pathOfBackup } from '$lib/server/backups/backup-folder';
import { BACKUP_RULES, setBackupRules } from '$lib/server/backups/backup-rules';
import { makeBackup } from '$lib/server/backups/make-backup';
import { restoreBackup, theCollection, writeAside } from '$lib/server/collection';
import { pathOfDatabase } from '$lib/server/database/collection-file';
import { readSettings } from '$lib/server/database/settings';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormFile, readFormOf } from '$lib/server/read-form';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

const ELSEWHERE = bad([
	{
		message: 'this collection is kept by a database server elsewhere',
		remedy: 'Back it up there.'
	}
]);

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:journal');
	const settings = readSettings(process.env);
	const folder = folderOf(settings);
	const { db } = await theCollection();
	const rules = await readPreference(db, BACKUP_RULES);
	const backups = folder === null ? [] : await listBackups(folder);
	const asked = url.searchParams.get('look') ?? '';
	const looked = folder && asked !== '' ? await pathOfBackup(folder, asked) : null;
	const present = pathOfDatabase(settings.databaseUrl);
	return {
		...{ folder, rules, backups },
		look:
			looked === null || present === null
				? null
				: {
						file: asked,
						kept: await pageTask('previewBackup', { path: looked }, request.signal),
						now: await pageTask('previewBackup', { path: present }, request.signal)
					}
	};
};

export const actions = {
	make: async () => {
		const file = await makeBackup(
			await theCollection(),
			readSettings(process.env),
			'by hand',
			writeAside
		);
		if (file === null) return answer('make', ELSEWHERE);
		return answer('make', good(null), `${file} is made, and was read again from end to end.`);
	},
	rules: async ({ request }) => {
		const form = await readFormOf(request, BackupRulesFormSchema);
		if (!form.ok) return answer('rules', form);
		return answer('rules', await setBackupRules(await theCollection(), form.value), 'Kept.');
	},
	bring: async ({ request }) => {
		const folder = folderOf(readSettings(process.env));
		if (folder === null) return answer('bring', ELSEWHERE);
		const { bytes } = await readFormFile(await request.formData(), '');
		const { now } = await theCollection();
		const brought = await bringBackup(folder, bytes, now());
		if (!brought.ok) return answer('bring', brought);
		const path = join(folder, brought.value.file);
		const seen = await pageTask('previewBackup', { path }, request.signal);
		if (!seen.ok) {
			await brought.value.takeAway();
			return answer('bring', seen);
		}
		return answer('bring', good(null), `${brought.value.file} is in the list: look at it.`);
	},
	restore: async ({ request }) => {
		const form = await readFormOf(request, BackupFormSchema);
		if (!form.ok) return answer('restore', form);
		const done = await restoreBackup(form.value.file);
		const told = done.ok
			? `It is in place. What was there before is kept as ${done.value.before}.`
			: '';
		return answer('restore', done, told);
	}
};
