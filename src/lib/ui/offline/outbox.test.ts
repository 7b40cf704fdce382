import { beforeEach, expect, test, vi } from 'vitest';
import { REQUEST_NAME } from '$lib/schemas/request-name';
import { createOutboxStore, type Waiting } from './outbox-store';

// Modules are loaded once a worker: tests of other files may have put something in the place of what sends.
vi.doUnmock('$lib/ui/send');
vi.resetModules();
const { link } = await import('./link.svelte');
const { outbox } = await import('./outbox.svelte');

/** What a browser keeps; `room`: how many characters at most. */
function storage(room = Infinity): Storage {
	const kept = new Map<string, string>();
	return {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem(key: string, text: string) {
			if (text.length > room) throw new DOMException('full', 'QuotaExceededError');
			kept.set(key, text);
		},
		removeItem: (key: string) => kept.delete(key)
	} as unknown as Storage;
}

/** A server that may be away, and answers by what the body says; it makes each request once. */
function server() {
	const state = { isAway: false, losesAnswers: false, made: [] as string[] };
	const known = new Set<string>();
	vi.stubGlobal('fetch', async (_path: string, init: RequestInit) => {
		if (state.isAway) throw new TypeError('Failed to fetch');
		if (init.body === undefined) return Response.json({});
		const id = new Headers(init.headers).get(REQUEST_NAME) ?? '';
		const { n } = JSON.parse(String(init.body)) as { n: number };
		if (n < 0) return Response.json({ errors: [{ message: 'no such card' }] }, { status: 409 });
		const isBefore = known.has(id);
		if (!isBefore) state.made.push(String(n));
		known.add(id);
		if (state.losesAnswers) throw new TypeError('Failed to fetch');
		return Response.json(isBefore ? { isDoneBefore: true } : { n });
	});
	return state;
}
const deliver = (n: number) =>
	outbox.deliver<{ n: number }>({
		...{ what: `card ${n}`, method: 'POST', path: '/api/pile' },
		body: () => ({ n })
	});

beforeEach(() => {
	vi.stubGlobal('window', globalThis);
	vi.stubGlobal('localStorage', storage());
	vi.stubGlobal('sessionStorage', storage());
	return () => {
		link.tellUp();
		vi.unstubAllGlobals();
	};
});

test('what is made without a network is kept in order, and sent once the server is reached', async () => {
	const away = server();
	expect(await deliver(1)).toMatchObject({ how: 'made', value: { n: 1 } });
	away.isAway = true;
	const second = await deliver(2);
	expect(second.how).toBe('kept');
	expect(link.isDown).toBe(true);
	away.isAway = false;
	// Behind what waits already, although the server would answer by now.
	await deliver(3);
	expect(away.made).toEqual(['1']);
	expect(outbox.waiting.map(({ what }) => what)).toEqual(['card 2', 'card 3']);
	link.tellUp();
	expect(await outbox.flush()).toBe(true);
	expect(away.made).toEqual(['1', '2', '3']);
	expect(outbox.waiting).toEqual([]);
	if (second.how === 'kept')
		expect(await second.later).toMatchObject({ ok: true, value: { n: 2 } });
});

test('a change whose answer was lost is not made twice', async () => {
	const away = server();
	away.losesAnswers = true;
	expect((await deliver(1)).how).toBe('kept');
	away.losesAnswers = false;
	link.tellUp();
	await outbox.flush();
	expect(away.made).toEqual(['1']);
	expect(outbox.waiting).toEqual([]);
});

test('what the server refuses is told and stands in the way of nothing; it may be sent again, or dropped', async () => {
	const away = server();
	away.isAway = true;
	for (const n of [-1, 2]) await deliver(n);
	away.isAway = false;
	link.tellUp();
	await outbox.flush();
	expect(away.made).toEqual(['2']);
	const [refused] = outbox.refused;
	expect(refused).toMatchObject({ what: 'card -1', problems: [{ message: 'no such card' }] });
	outbox.again(refused?.id ?? '');
	expect(outbox.waiting).toHaveLength(1);
	await outbox.flush();
	expect(outbox.refused).toHaveLength(1);
	expect(outbox.drop(refused?.id ?? '')).toBe(true);
	expect([outbox.waiting, outbox.refused]).toEqual([[], []]);
});

test('what was taken back before it was sent is never sent; whoever waits for it hears so', async () => {
	const away = server();
	away.isAway = true;
	const kept = await deliver(1);
	if (kept.how !== 'kept') throw new Error(kept.how);
	expect(outbox.drop(kept.id)).toBe(true);
	expect(await kept.later).toBeNull();
	away.isAway = false;
	link.tellUp();
	await outbox.flush();
	expect(away.made).toEqual([]);
});

test('a browser that keeps nothing more says so', async () => {
	const away = server();
	vi.stubGlobal('localStorage', storage(10));
	away.isAway = true;
	expect(await deliver(1)).toMatchObject({
		how: 'refused',
		problems: [{ remedy: 'Write it down.' }]
	});
});

test('what another program left under the key is passed over', () => {
	const kept = storage();
	const store = createOutboxStore(() => kept);
	const entry: Waiting = { id: 'a', at: 1, what: 'w', method: 'POST', path: '/api/pile', body: {} };
	for (const text of ['', 'nonsense', '{}', '[null, 1, {"id":"x","path":"https://other"}]']) {
		kept.setItem(store.key, text);
		expect(store.read(), text).toEqual([]);
	}
	expect(store.add(entry)).toBe(true);
	store.mark('a', [{ message: 'no' }]);
	expect(store.read()).toEqual([{ ...entry, problems: [{ message: 'no' }] }]);
	store.mark('a', []);
	expect(store.read()).toEqual([entry]);
	expect([store.remove('b'), store.remove('a'), store.read()]).toEqual([false, true, []]);
});
