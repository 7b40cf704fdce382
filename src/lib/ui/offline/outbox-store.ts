import type { Problem } from '$lib/core/problem';

/** A change that waits for the network, or was refused when it was sent. */
export interface Waiting {
	/** Names the request: sent twice it is made once. */
	readonly id: string;
	/** When it was made, ms since 1970. */
	readonly at: number;
	/** In words. */
	readonly what: string;
	readonly method: 'POST' | 'PUT';
	readonly path: string;
	readonly body: unknown;
	/** Why the server refused it; left out: it was not sent yet. */
	readonly problems?: readonly Problem[];
}

/** What a browser keeps by itself, under a key. */
type Store = Pick<Storage, 'getItem' | 'setItem'>;

const KEY = 'jade-outbox';
/** What a day at a fair brings, many times over. */
const MOST = 2000;

/**
 * The changes that wait, in the order in which they were made. They are kept by the browser, so that closing the page
 * loses none; other windows of it read the same ones.
 */
export function createOutboxStore(store: () => Store) {
	function read(): readonly Waiting[] {
		try {
			const kept: unknown = JSON.parse(store().getItem(KEY) ?? '[]');
			return Array.isArray(kept) ? (kept as Waiting[]).filter(isWaiting) : [];
		} catch {
			return [];
		}
	}
	function write(all: readonly Waiting[]): boolean {
		try {
			store().setItem(KEY, JSON.stringify(all));
			return true;
		} catch {
			return false;
		}
	}
	return {
		read,
		/** False where the browser keeps nothing more. */
		add: (entry: Waiting): boolean => {
			const all = read();
			return all.length < MOST && write([...all, entry]);
		},
		/** False where it is not there any more. */
		remove: (id: string): boolean => {
			const all = read();
			const rest = all.filter((entry) => entry.id !== id);
			return rest.length < all.length && write(rest);
		},
		/** Says why one was refused; no problems: it waits again. */
		mark: (id: string, problems: readonly Problem[]): boolean =>
			write(
				read().map(({ problems: _, ...entry }) =>
					entry.id !== id
						? { ...entry, ...(_ ? { problems: _ } : {}) }
						: { ...entry, ...(problems.length > 0 ? { problems } : {}) }
				)
			),
		key: KEY
	};
}

const isWaiting = (entry: Partial<Waiting> | null): entry is Waiting =>
	typeof entry?.id === 'string' && typeof entry.path === 'string' && entry.path.startsWith('/api/');
