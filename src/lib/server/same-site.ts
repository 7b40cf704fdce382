import { hostname } from 'node:os';
import { isIP } from 'node:net';

/**
 * Whether a request that changes something may come in: from a page of this very server, or from a
 * program that sends no Origin. The Host must be an address, this machine's name, or one that
 * JADE_HOSTNAMES lists: a foreign name that points here is a page of somebody else.
 */
export function isSameSite(
	headers: Headers,
	host: string,
	allowedNames: readonly string[] = []
): boolean {
	if (!isOwnName(host, allowedNames)) return false;
	const site = headers.get('sec-fetch-site');
	if (site === 'cross-site' || site === 'same-site') return false;
	const origin = headers.get('origin');
	return origin === null || hostOf(origin) === host;
}

function isOwnName(host: string, allowedNames: readonly string[]): boolean {
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

function hostOf(origin: string): string | null {
	try {
		return new URL(origin).host;
	} catch {
		return null;
	}
}
