import { ThemeChoiceFormSchema } from '$lib/schemas/forms/page';
import { redirect, type RequestHandler } from '@sveltejs/kit';
import { ownPath } from '$lib/server/own-path';
import { readForm } from '$lib/server/read-form';

/** Keeps the chosen theme in a cookie and goes back to the page. */
export const POST: RequestHandler = async ({ request, cookies, url }) => {
	const form = readForm(await request.formData(), ThemeChoiceFormSchema);
	if (form.ok)
		cookies.set('theme', form.value.theme, {
			path: '/',
			maxAge: 31_536_000,
			secure: url.protocol === 'https:'
		});
	redirect(303, ownPath((form.ok && form.value.back) || '/', url));
};
