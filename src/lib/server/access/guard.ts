import { redirect, type Cookies, type RequestEvent } from '@sveltejs/kit';
import type { Role } from '../../schemas/role.ts';
import type { Collection } from '../database/open.ts';
import type { Settings } from '../database/settings.ts';
import { problemResponse } from '../problem-document.ts';
import { mayAsk } from './may-ask.ts';
import { guardedRoles } from './passphrases.ts';
import { readSession, SESSION_DAYS } from './sessions.ts';

const COOKIE = 'jade_session';

/** What a browser keeps of its session: no script reads it, and no other site's page sends it. */
export function sessionCookie(cookies: Cookies, { protocol }: URL) {
	const kept = {
		path: '/',
		httpOnly: true,
		sameSite: 'strict',
		secure: protocol === 'https:'
	} as const;
	return {
		read: () => cookies.get(COOKIE) ?? null,
		keep: (token: string) => cookies.set(COOKIE, token, { ...kept, maxAge: SESSION_DAYS * 86_400 }),
		forget: () => cookies.delete(COOKIE, kept)
	};
}

/**
 * Who asks: the owner where no passphrase is set and the server is reached from this machine alone, else whoever the session says;
 * null: nobody known.
 */
export async function whoAsks(
	collection: Collection,
	settings: Pick<Settings, 'isBeyondLoopback'>,
	{ cookies, url }: Pick<RequestEvent, 'cookies' | 'url'>
): Promise<Role | null> {
	const isGuarded =
		settings.isBeyondLoopback || (await guardedRoles(collection.db)).includes('owner');
	if (!isGuarded) return 'owner';
	const cookie = sessionCookie(cookies, url);
	const token = cookie.read();
	const session = token === null ? null : await readSession(collection, token);
	if (token !== null && session?.isRenewed) cookie.keep(token);
	return session?.role ?? null;
}

/**
 * The answer to what a role may not ask, null where it may. A page leads to where one signs in and comes back from there.
 *
 * @throws a redirect
 */
export function refusal(
	role: Role | null,
	{ request, route, url, isDataRequest }: RequestEvent
): Response | null {
	if (mayAsk(role, { method: request.method, route: route.id })) return null;
	const isPage = request.method === 'GET' && !url.pathname.startsWith('/api/');
	if (isPage || isDataRequest) {
		const to = url.pathname === '/' ? '' : `?to=${encodeURIComponent(url.pathname + url.search)}`;
		redirect(303, `/sign-in${to}`);
	}
	const [status, message] =
		role === null
			? [401, 'You are signed out. Sign in in another tab; what you typed here stays.']
			: [403, 'A viewer looks, and changes nothing. Sign in as the owner in another tab.'];
	if (request.headers.get('x-sveltekit-action') === 'true') {
		const answer = { type: 'error', status, error: { message } };
		return Response.json(answer, { status });
	}
	const response = problemResponse(status, message);
	// RFC 9110, section 15.5.2: a 401 says how to be let in.
	if (status === 401) response.headers.set('www-authenticate', 'Session realm="Jade Binder"');
	return response;
}
