import { textOf } from '$lib/server/form-fields';
import { redirect, type RequestHandler } from '@sveltejs/kit';
import { ownPath } from '$lib/server/own-path';
import { THEMES } from '$lib/server/theme';

/** Keeps the chosen theme in a cookie and goes back to the page. */
export const POST: RequestHandler = async ({ request, cookies, url }) => {
	const form = await request.formData();
	const theme = THEMES.find((known) => known === form.get('theme'));
	if (theme)
		cookies.set('theme', theme, {
			path: '/',
			maxAge: 31_536_000,
			secure: url.protocol === 'https:'
		});
	redirect(303, ownPath(textOf(form, 'back') || '/', url));
};
