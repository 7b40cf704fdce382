import { expect, test } from 'vitest';
import { isOwnHost, isSameSite } from './same-site.ts';

test.each<[string, string, Record<string, string>, boolean]>([
	['a program without origin', '127.0.0.1:4173', {}, true],
	['its own page by address', '192.168.1.5:4173', { origin: 'http://192.168.1.5:4173' }, true],
	['its own page by name', 'localhost:4173', { origin: 'http://localhost:4173' }, true],
	['its own page by IPv6', '[::1]:4173', { origin: 'http://[::1]:4173' }, true],
	['a name that was allowed', 'cards.home', { origin: 'https://cards.home' }, true],
	['another site', 'localhost:4173', { origin: 'http://evil.example' }, false],
	['another port', 'localhost:4173', { origin: 'http://localhost:9999' }, false],
	[
		'a foreign name that points here',
		'evil.example:4173',
		{ origin: 'http://evil.example:4173' },
		false
	],
	['an opaque origin', 'localhost:4173', { origin: 'null' }, false],
	[
		'a form of another site without origin',
		'localhost:4173',
		{ 'sec-fetch-site': 'cross-site' },
		false
	]
])('%s', (_, host, headers, allowed) => {
	expect(isOwnHost(host, ['cards.home']) && isSameSite(new Headers(headers), host)).toBe(allowed);
});
