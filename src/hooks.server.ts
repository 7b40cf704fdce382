import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { isSameSite } from '$lib/server/same-site';
import { readTheme } from '$lib/server/theme';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
const ownNames = (process.env.JADE_HOSTNAMES ?? '')
	.toLowerCase()
	.split(/[\s,]+/)
	.filter(Boolean);

/** Migrates and opens the collection before the first request is answered. */
export const init: ServerInit = async () => {
	await theCollection();
};

export const handle: Handle = async ({ event, resolve }) => {
	if (
		!READS.has(event.request.method) &&
		!isSameSite(event.request.headers, event.url.host, ownNames)
	) {
		return problemResponse(403, 'Changes are taken from pages of this server only.');
	}
	const theme = readTheme(event.cookies);
	const response = await resolve(event, {
		transformPageChunk: ({ html }) => html.replace('%jade.theme%', theme ?? '')
	});
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

export const handleError: HandleServerError = ({ error, status, message }) => {
	if (status >= 500) console.error(error);
	return {
		message: status >= 500 ? 'Something went wrong on the server; nothing was changed.' : message
	};
};
