/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';
import {
	addressesOf,
	isWhole,
	keyOfPage,
	partOf,
	type TakeAlongOrder,
	type TakenAlong
} from '$lib/ui/offline/kept-pages';

/**
 * Keeps pages for where there is no network, once somebody asks for it (Take along); before that it does nothing. Pages
 * come from the server whenever it answers; what the browser kept is shown only when it does not.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;

const PREFIX = 'jade-';
/** Scripts and styles belong to pages of the same build. */
const PARTS = `${PREFIX}parts-${version}`;
const PAGES = `${PREFIX}pages-${version}`;
/** How long the server is waited for before the kept page is shown: in a cellar a network may be there and carry nothing. */
const PATIENCE_MS = 5000;

worker.addEventListener('install', (event) => event.waitUntil(worker.skipWaiting()));
worker.addEventListener('activate', (event) => event.waitUntil(renew()));
worker.addEventListener('message', ({ data, ports: [port] }) => {
	const order = data as TakeAlongOrder;
	const told = (answer: TakenAlong) => port?.postMessage(answer);
	if (order.do === 'keep') {
		void keepAll(order.pages, told).catch((error: unknown) =>
			told({ problem: String(error instanceof Error ? error.message : error) })
		);
	} else void forget().then(() => told({ done: 0, total: 0 }));
});
worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (url.origin !== location.origin) return;
	// Whoever signs out leaves nothing of the collection behind.
	if (request.method === 'POST' && url.pathname === '/sign-out') event.waitUntil(forget());
	if (request.method !== 'GET') return;
	const part = partOf(url, request.mode === 'navigate');
	if (part === 'built') event.respondWith(keptFirst(request));
	else if (part !== null) event.respondWith(serverFirst(event, keyOfPage(url), part));
});

/** After an update the pages that were kept are fetched anew: they belong to its scripts. */
async function renew(): Promise<void> {
	const old = (await caches.keys()).filter(
		(name) => name.startsWith(PREFIX) && name !== PARTS && name !== PAGES
	);
	const kept = old.find((name) => name.startsWith(`${PREFIX}pages-`));
	const pages = kept === undefined ? [] : await (await caches.open(kept)).keys();
	for (const name of old) await caches.delete(name);
	const paths = pages
		.map(({ url }) => new URL(url))
		.filter((url) => partOf(url, true) === 'page')
		.map(({ pathname, search }) => pathname + search);
	if (paths.length > 0) await keepAll(paths, () => undefined).catch(() => undefined);
	await worker.clients.claim();
}

async function forget(): Promise<void> {
	await caches.delete(PAGES);
	await caches.delete(PARTS);
}

/** Fetches pages with all that they are made of, and keeps them in the place of those that were kept. */
async function keepAll(pages: readonly string[], tell: (told: TakenAlong) => void): Promise<void> {
	const parts = await caches.open(PARTS);
	const missing: string[] = [];
	for (const path of [...build, ...files]) if (!(await parts.match(path))) missing.push(path);
	const total = missing.length + pages.length;
	let done = 0;
	for (const path of missing) {
		await parts.add(path);
		tell({ done: ++done, total });
	}
	const fetched: { readonly key: string; readonly response: Response }[] = [];
	for (const page of pages) {
		for (const path of addressesOf(page)) {
			const response = await fetch(path, { cache: 'no-store', credentials: 'same-origin' });
			// A slip that was thrown away meanwhile is not kept; who is signed out keeps nothing.
			if (response.redirected) throw new Error('you are signed out');
			if (response.ok) fetched.push({ key: keyOfPage(new URL(path, location.origin)), response });
		}
		tell({ done: ++done, total });
	}
	await caches.delete(PAGES);
	const kept = await caches.open(PAGES);
	for (const { key, response } of fetched) await kept.put(key, await stamped(response));
	tell({ isDone: true, done: total, total });
}

/** A response with the time at which it was kept. */
async function stamped(response: Response): Promise<Response> {
	const headers = new Headers(response.headers);
	headers.set('x-jade-kept-at', String(Date.now()));
	// What was packed on the way is unpacked now.
	headers.delete('content-encoding');
	headers.delete('content-length');
	return new Response(await response.blob(), { status: response.status, headers });
}

async function keptFirst(request: Request): Promise<Response> {
	const kept = await caches.match(request, { ignoreSearch: true });
	return kept ?? fetch(request);
}

async function serverFirst(
	event: FetchEvent,
	key: string,
	part: 'page' | 'data' | 'work'
): Promise<Response> {
	const { request } = event;
	if (!(await caches.has(PAGES))) return fetch(request);
	const pages = await caches.open(PAGES);
	const kept = await pages.match(key);
	const answer = fetch(request);
	try {
		// What takes its time is waited for where nothing stands in for it.
		const response = await (kept ? Promise.race([answer, patience()]) : answer);
		if (kept && response.ok && !response.redirected && isWhole(new URL(request.url))) {
			const copy = response.clone();
			event.waitUntil(renewPage(pages, key, part, copy).catch(() => undefined));
		}
		return response;
	} catch {
		if (kept) return kept;
		// Behind the hash, so that it is the page that was kept.
		const away = `/take-along#${encodeURIComponent(new URL(request.url).pathname)}`;
		if (key === '/take-along') return answer;
		if (part === 'page') return Response.redirect(away, 302);
		// As SvelteKit's server says that a page is elsewhere (2.70): the browser goes there.
		if (part === 'data') return Response.json({ type: 'redirect', location: away });
		return answer;
	}
}

/** Keeps what the server just sent in the place of what was kept; work that came to nothing is not. */
async function renewPage(
	pages: Cache,
	key: string,
	part: 'page' | 'data' | 'work',
	response: Response
): Promise<void> {
	if (part === 'work' && !(await response.clone().text()).includes('"view"')) return;
	await pages.put(key, await stamped(response));
}

const patience = () =>
	new Promise<never>((_, reject) => setTimeout(() => reject(new Error('no answer')), PATIENCE_MS));
