/**
 * A path of this server to go back to, as a browser would read `typed` on `page`; "/" where it leads
 * elsewhere ("//host", "/\host") or is none.
 *
 * @example ownPath('/goals?x=1', page) === '/goals?x=1'; ownPath('/\\evil.example', page) === '/'
 */
export function ownPath(typed: string, page: URL): string {
	if (!typed.startsWith('/') || !URL.canParse(typed, page)) return '/';
	const { origin, pathname, search } = new URL(typed, page);
	// Two slashes that were left of a path ("/.//host") would name a host to the next reader.
	return origin === page.origin && !pathname.startsWith('//') ? pathname + search : '/';
}
