import { error, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { refusal, whoAsks } from '$lib/server/access/guard';
import { theCollection } from '$lib/server/collection';
import { readSettings } from '$lib/server/database/settings';
import { asProblem, problemResponse } from '$lib/server/problem-document';
import { answerOnce, requestIdOf } from '$lib/server/journal/repeated-request';
import { answerWindow } from '$lib/server/journal/window';
import { isOwnHost, isSameSite } from '$lib/server/same-site';
import { readTheme } from '$lib/server/theme';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
const ownNames = (process.env.JADE_HOSTNAMES ?? '')
	.toLowerCase()
	.split(/[\s,]+/)
	.filter(Boolean);

/** Migrates and opens the collection before the first request is answered. */
export const init: ServerInit = async () => {
	await theCollection();
	process.once('sveltekit:shutdown', () => {
		// The one that is open then: a backup may have taken the place of the first.
		void theCollection()
			.then(({ close }) => close())
			.finally(() => process.exit());
	});
};

export const handle: Handle = async ({ event, resolve }) => {
	const { headers, method } = event.request;
	const { host, pathname } = event.url;
	const isApi = pathname.startsWith('/api/');
	if (!isOwnHost(host, ownNames)) {
		return problemResponse(
			421,
			'This server does not answer to that name. JADE_HOSTNAMES lists the names it is reached by.'
		);
	}
	if (!READS.has(method) && !isSameSite(headers, host)) {
		return problemResponse(403, 'Changes are taken from pages of this server only.');
	}
	// A body that is no form is the other side's fault, wherever an action reads it.
	const readForm = event.request.formData.bind(event.request);
	event.request.formData = () =>
		readForm().catch(() => error(400, 'The form that was sent cannot be read.'));
	const collection = await theCollection();
	const role = await whoAsks(collection, readSettings(process.env), event);
	event.locals.role = role;
	const refused = refusal(role, event);
	if (refused) return refused;
	const theme = readTheme(event.cookies);
	const answer = await answerOnce(collection.db, requestIdOf(headers), () =>
		answerWindow(event.request, () =>
			resolve(event, {
				transformPageChunk: ({ html }) =>
					html.replace('%jade.theme%', theme ? `data-theme="${theme}"` : '')
			})
		)
	);
	const response = isApi ? await asProblem(answer) : answer;
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

export const handleError: HandleServerError = ({ error: cause, status, message }) => {
	if (status >= 500) console.error(cause);
	return { message: status >= 500 ? 'Something went wrong on the server.' : message };
};
