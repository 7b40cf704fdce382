import { bad, good } from '$lib/core/problem';
import { PassphraseFormSchema, RoleFormSchema } from '$lib/schemas/forms/access';
import { sessionCookie } from '$lib/server/access/guard';
import { guardedRoles, removePassphrase, setPassphrase } from '$lib/server/access/passphrases';
import { endSession, startSession } from '$lib/server/access/sessions';
import { answer } from '$lib/server/answer';
import { theCollection } from '$lib/server/collection';
import { readSettings } from '$lib/server/database/settings';
import { readFormOf } from '$lib/server/read-form';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('jade:journal');
	const { db } = await theCollection();
	return { guarded: await guardedRoles(db), ...reachedAt() };
};

const reachedAt = () => {
	const { host, isBeyondLoopback } = readSettings(process.env);
	return { host, isBeyondLoopback };
};

export const actions: Actions = {
	set: async ({ request, cookies, url }) => {
		const form = await readFormOf(request, PassphraseFormSchema);
		if (!form.ok) return answer('set', form);
		const { role, passphrase } = form.value;
		const collection = await theCollection();
		const set = await setPassphrase(collection, role, passphrase);
		if (!set.ok) return answer('set', set);
		collection.news.end();
		// Who sets it has just said it.
		if (role === 'owner') {
			sessionCookie(cookies, url).keep(await startSession(collection, role));
		}
		return answer('set', set, `The passphrase of the ${role} is set. Other browsers sign in anew.`);
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, RoleFormSchema);
		if (!form.ok) return answer('set', form);
		const { role } = form.value;
		const { host, isBeyondLoopback } = reachedAt();
		if (role === 'owner' && isBeyondLoopback) {
			const message = `others reach this server at ${host}`;
			return answer('set', bad([{ message, remedy: 'Change the passphrase instead.' }]));
		}
		const collection = await theCollection();
		await removePassphrase(collection, role);
		collection.news.end();
		return answer('set', good(null), `The ${role} has no passphrase any more.`);
	},
	/** Every browser but this one. */
	end: async ({ cookies, url }) => {
		const collection = await theCollection();
		await endSession(collection, null);
		collection.news.end();
		sessionCookie(cookies, url).keep(await startSession(collection, 'owner'));
		return answer('end', good(null), 'All other browsers are signed out.');
	}
};
