const KEY = 'jade-window';

let id: string | null = null;

/** Names this window, as long as it is open: what it did, it takes back. */
export function windowId(): string {
	if (id !== null) return id;
	try {
		id = sessionStorage.getItem(KEY);
		// `randomUUID` is for https and localhost only: a phone in the house has neither.
		id ??= [...crypto.getRandomValues(new Uint8Array(12))]
			.map((byte) => byte.toString(36).padStart(2, '0'))
			.join('');
		sessionStorage.setItem(KEY, id);
	} catch {
		// Without storage it is this page's, until it is loaded anew.
		id ??= `page-${Math.random().toString(36).slice(2)}`;
	}
	return id;
}
