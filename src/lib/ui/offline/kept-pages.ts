/** What the page asks of the service worker. */
export type TakeAlongOrder =
	{ readonly do: 'keep'; readonly pages: readonly string[] } | { readonly do: 'forget' };

/** How far it is, or why it cannot be done. */
export type TakenAlong =
	| { readonly done: number; readonly total: number; readonly isDone?: true }
	| { readonly problem: string };

/** Pages whose content comes from elsewhere once they are open. */
const WORK_OF: Readonly<Record<string, readonly string[]>> = {
	'/buying/fair': ['/api/buying/fair']
};
const DATA = '__data.json';

/**
 * What a request is a part of: the program as it was built, a page, the data of a page that is gone to within the
 * program, or what a page works out; null: nothing that is kept.
 *
 * @param isPage it is to be shown
 */
export function partOf(
	{ pathname, search }: Pick<URL, 'pathname' | 'search'>,
	isPage: boolean
): 'built' | 'page' | 'data' | 'work' | null {
	if (pathname.startsWith('/_app/') || pathname === '/favicon.svg') {
		return pathname.endsWith('/version.json') ? null : 'built';
	}
	if (pathname.endsWith(`/${DATA}`)) return 'data';
	if (Object.values(WORK_OF).some((paths) => paths.includes(pathname))) {
		return search === '' ? 'work' : null;
	}
	return isPage && !pathname.startsWith('/api/') ? 'page' : null;
}

/** All addresses that a page is made of, besides what was built: itself, its data, what it works out. */
export function addressesOf(page: string): readonly string[] {
	const [path = '', query] = page.split('?');
	const data = `${path === '/' ? '' : path}/${DATA}${query === undefined ? '' : `?${query}`}`;
	return [page, data, ...(WORK_OF[path] ?? [])];
}

/** Under which name it is kept: which parts of its data are asked for does not matter. */
export function keyOfPage({ pathname, searchParams }: URL): string {
	const query = [...searchParams]
		.filter(([name]) => !name.startsWith('x-sveltekit-'))
		.map(([name, value]) => `${encodeURIComponent(name)}=${encodeURIComponent(value)}`)
		.join('&');
	return pathname + (query === '' ? '' : `?${query}`);
}

/**
 * Whether all data of a page is asked for, but for what every page comes with: what was sent in part stands in for no
 * page that is gone to from elsewhere.
 */
export const isWhole = ({ searchParams }: URL): boolean =>
	/^[01]1*$/.test(searchParams.get('x-sveltekit-invalidated') ?? '1');

/** The worker that keeps pages; null where the browser has none: it wants https, or this machine itself. */
async function keeper(): Promise<ServiceWorker | null> {
	if (!('serviceWorker' in navigator)) return null;
	const { active } = await navigator.serviceWorker.ready;
	return active;
}

/** Whether this browser can keep pages at this address. */
export const canKeep = (): boolean => 'serviceWorker' in navigator && isSecureContext;

/** Keeps pages, or forgets all; tells how far it is. Gives a problem in words, or null. */
export async function orderPages(
	order: TakeAlongOrder,
	tell: (told: { readonly done: number; readonly total: number }) => void
): Promise<string | null> {
	const worker = await keeper();
	if (!worker) return 'This browser keeps no pages at this address.';
	const { port1, port2 } = new MessageChannel();
	return new Promise((resolve) => {
		port1.onmessage = ({ data }: MessageEvent<TakenAlong>) => {
			if ('problem' in data) return resolve(data.problem);
			tell(data);
			if (data.isDone || order.do === 'forget') resolve(null);
		};
		worker.postMessage(order, [port2]);
	});
}

/** When the pages that are kept were fetched last, by their paths, ms since 1970. */
export async function readKept(): Promise<ReadonlyMap<string, number>> {
	const kept = new Map<string, number>();
	if (!('caches' in globalThis)) return kept;
	for (const name of await caches.keys()) {
		if (!name.startsWith('jade-pages-')) continue;
		const cache = await caches.open(name);
		for (const request of await cache.keys()) {
			const url = new URL(request.url);
			if (partOf(url, true) !== 'page') continue;
			const at = (await cache.match(request))?.headers.get('x-jade-kept-at');
			kept.set(keyOfPage(url), Number(at ?? 0));
		}
	}
	return kept;
}
