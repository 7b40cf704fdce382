import { bad, type Outcome, type Problem } from '$lib/core/problem';
import { REQUEST_NAME } from '$lib/schemas/request-name';
import { inTurn, isSmall, reach } from '../send';
import { link } from './link.svelte';
import { createOutboxStore, type Waiting } from './outbox-store';

/** How a change fared: made, refused, or kept until the network is back. */
export type Delivery<Value> =
	| { readonly how: 'made'; readonly value: Value | null }
	| { readonly how: 'refused'; readonly problems: readonly Problem[] }
	/** `later`: what became of it, as long as the page is open; null: it was taken back before it was sent. */
	| {
			readonly how: 'kept';
			readonly id: string;
			readonly later: Promise<Outcome<Value | null> | null>;
	  };

/** A change that may wait. */
export type Keepable = Pick<Waiting, 'what' | 'method' | 'path'> & {
	/** Called when its turn has come. */
	readonly body: () => unknown;
};

/** How long the server may take before the change is kept instead; it names itself, so that it is not made twice. */
const PATIENCE_MS = 10_000;
/** While one window sends, the others of this browser wait for it; a window that was closed meanwhile holds up nobody for longer. */
const SENDING_MS = 15_000;
const SENDING = 'jade-outbox-sending';

/** Changes made without a network: ticks at a fair, on a slip in the cellar, cards off a pile. */
function createOutbox() {
	const store = createOutboxStore(() => localStorage);
	let all = $state.raw<readonly Waiting[]>([]);
	let isSending = $state(false);
	const waiting = $derived(all.filter(({ problems }) => problems === undefined));
	const refused = $derived(all.filter(({ problems }) => problems !== undefined));
	const settle = new Map<string, (outcome: Outcome<never> | null) => void>();
	const readAgain = () => (all = store.read());

	async function post<Value>({
		id,
		method,
		path,
		body
	}: Pick<Waiting, 'id' | 'method' | 'path' | 'body'>): Promise<Outcome<Value | null> | null> {
		const text = JSON.stringify(body);
		const outcome = await reach<Value & { isDoneBefore?: true }>(path, {
			method,
			body: text,
			keepalive: isSmall(text),
			headers: { 'content-type': 'application/json', [REQUEST_NAME]: id },
			signal: AbortSignal.timeout(PATIENCE_MS)
		});
		return outcome?.ok && outcome.value.isDoneBefore ? { ...outcome, value: null } : outcome;
	}

	function keep<Value>(entry: Waiting): Delivery<Value> {
		if (!store.add(entry)) {
			const message = 'there is no network, and the browser keeps nothing more';
			return { how: 'refused', problems: [{ message, remedy: 'Write it down.' }] };
		}
		readAgain();
		const later = new Promise<Outcome<Value | null> | null>((resolve) => {
			settle.set(entry.id, resolve);
		});
		return { how: 'kept', id: entry.id, later };
	}

	/** Sends what waits, one after the other, until the server is not reached any more. True where anything was made. */
	async function flush(): Promise<boolean> {
		if (isSending || readAgain().every(({ problems }) => problems)) return false;
		if (Number(localStorage.getItem(SENDING) ?? 0) > Date.now()) return false;
		isSending = true;
		let isAny = false;
		try {
			for (;;) {
				localStorage.setItem(SENDING, String(Date.now() + SENDING_MS));
				const next = readAgain().find(({ problems }) => problems === undefined);
				if (!next) break;
				const outcome = await post<never>(next);
				if (outcome === null) break;
				if (outcome.ok) store.remove(next.id);
				else store.mark(next.id, outcome.problems);
				isAny ||= outcome.ok;
				settle.get(next.id)?.(outcome as Outcome<never>);
				settle.delete(next.id);
			}
		} finally {
			localStorage.removeItem(SENDING);
			isSending = false;
			readAgain();
		}
		return isAny;
	}

	return {
		/** Changes that were not sent yet, in the order in which they were made. */
		get waiting() {
			return waiting;
		},
		/** Changes that the server refused when they were sent. */
		get refused() {
			return refused;
		},
		/** Those that wait to be sent to a path, as the browser keeps them. */
		waitingFor: (path: string): readonly Waiting[] =>
			typeof localStorage === 'undefined'
				? []
				: readAgain().filter((entry) => entry.path === path && entry.problems === undefined),
		get isSending() {
			return isSending;
		},
		/** Makes a change now, or keeps it until the server is reached; behind what waits already. */
		deliver: <Value>({ body, ...change }: Keepable): Promise<Delivery<Value>> =>
			inTurn(async () => {
				const entry: Waiting = { ...change, id: requestId(), at: Date.now(), body: body() };
				if (link.isDown || waiting.length > 0) return keep<Value>(entry);
				const outcome = await post<Value>(entry);
				if (outcome === null) return keep<Value>(entry);
				return outcome.ok
					? { how: 'made', value: outcome.value }
					: { how: 'refused', problems: outcome.problems };
			}),
		flush,
		/** Takes back a change that was not sent; false where it was. */
		drop(id: string): boolean {
			const isDropped = store.remove(id);
			readAgain();
			settle.get(id)?.(null);
			settle.delete(id);
			return isDropped;
		},
		/** Lets one that was refused wait again. */
		again(id: string): void {
			store.mark(id, []);
			readAgain();
		},
		/** Follows what other windows of this browser keep; gives what stops it. */
		watch(): () => void {
			readAgain();
			const onStorage = ({ key }: StorageEvent) => {
				if (key === store.key) readAgain();
			};
			addEventListener('storage', onStorage);
			return () => removeEventListener('storage', onStorage);
		}
	};
}

/** `randomUUID` is for https and localhost only. */
const requestId = (): string =>
	[...crypto.getRandomValues(new Uint8Array(16))]
		.map((byte) => byte.toString(16).padStart(2, '0'))
		.join('');

export const outbox = createOutbox();

/** A delivery as an outcome: what is kept is good enough, and has no value yet. */
export async function asOutcome<Value>(
	delivery: Promise<Delivery<Value>>
): Promise<Outcome<Value | null>> {
	const delivered = await delivery;
	if (delivered.how === 'refused') return bad(delivered.problems);
	return { ok: true, value: delivered.how === 'made' ? delivered.value : null, notes: [] };
}

/** The same, once it was sent: what is kept has its outcome then, and none where it was taken back before. */
export async function asLaterOutcome<Value>(
	delivery: Promise<Delivery<Value>>
): Promise<Outcome<Value | null>> {
	const delivered = await delivery;
	if (delivered.how !== 'kept') return asOutcome(Promise.resolve(delivered));
	return (await delivered.later) ?? { ok: true, value: null, notes: [] };
}
