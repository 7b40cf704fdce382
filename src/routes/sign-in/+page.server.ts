import { fail, redirect } from '@sveltejs/kit';
import { SignInFormSchema } from '$lib/schemas/forms/access';
import { createAttempts } from '$lib/server/access/attempts';
import { sessionCookie } from '$lib/server/access/guard';
import { roleOfPassphrase } from '$lib/server/access/passphrases';
import { startSession } from '$lib/server/access/sessions';
import { theCollection } from '$lib/server/collection';
import { ownPath } from '$lib/server/own-path';
import { readFormOf } from '$lib/server/read-form';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, locals: { role } }) => {
	const to = ownPath(url.searchParams.get('to') ?? '/', url);
	if (role === 'owner') redirect(303, to);
	return { to };
};

const ask = createAttempts();

export const actions: Actions = {
	default: async ({ request, cookies, url, getClientAddress }) => {
		const form = await readFormOf(request, SignInFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const attempt = await ask(getClientAddress());
		if (!attempt.ok) {
			const wait = attempt.seconds > 90 ? `${Math.ceil(attempt.seconds / 60)} minutes` : 'a moment';
			const message = 'too many passphrases were tried';
			return fail(429, { problems: [{ message, remedy: `Try again in ${wait}.` }] });
		}
		const collection = await theCollection();
		try {
			const role = await roleOfPassphrase(collection.db, form.value.passphrase);
			if (role === null) {
				const message = 'that is not the passphrase';
				return fail(400, {
					problems: [{ message, remedy: 'Look at its letters, and try again.' }]
				});
			}
			await attempt.succeeded();
			sessionCookie(cookies, url).keep(await startSession(collection, role));
		} finally {
			attempt.end();
		}
		redirect(303, ownPath(form.value.to ?? '/', url));
	}
};
