import { hostname } from 'node:os';
import { isIP } from 'node:net';

/**
 * Whether the Host of a request is ours: an address, this machine's name, or one that JADE_HOSTNAMES
 * lists. A foreign name that points here is a page of somebody else, who must not even read: a
 * browser takes both for one site.
 */
export function isOwnHost(host: string, allowedNames: readonly string[] = []): boolean {
	const name = host
		.replace(/:\d+$/, '')
		.replace(/^\[|\]$/g, '')
		.toLowerCase();
	return (
		isIP(name) !== 0 ||
		name === 'localhost' ||
		name === hostname().toLowerCase() ||
		allowedNames.includes(name)
	);
}

/** Whether a request that changes something comes from a page of this very server, or from a program that sends no Origin. */
export function isSameSite(headers: Headers, host: string): boolean {
	const site = headers.get('sec-fetch-site');
	if (site === 'cross-site' || site === 'same-site') return false;
	const origin = headers.get('origin');
	return origin === null || hostOf(origin) === host;
}

function hostOf(origin: string): string | null {
	try {
		return new URL(origin).host;
	} catch {
		return null;
	}
}
