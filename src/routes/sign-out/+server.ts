import { redirect, type RequestHandler } from '@sveltejs/kit';
import { sessionCookie } from '$lib/server/access/guard';
import { endSession } from '$lib/server/access/sessions';
import { theCollection } from '$lib/server/collection';

/** Ends the session of this browser. */
export const POST: RequestHandler = async ({ cookies, url }) => {
	const cookie = sessionCookie(cookies, url);
	const token = cookie.read();
	if (token !== null) await endSession(await theCollection(), token);
	cookie.forget();
	redirect(303, '/sign-in');
};
