import { link } from './link.svelte';
import { tellTrouble } from '../trouble.svelte';

const DATA = '/__data.json';
const INVALIDATED = 'x-sveltekit-invalidated';

/**
 * A page that is open stays open when the network breaks while it asks for its data: SvelteKit (2.70) would load it
 * anew, and the browser show an error in its place. It takes a `fetch` that was changed (`load_data` in its client).
 *
 * @returns gives the browser's own back
 */
export function stayOnPage(): () => void {
	const browsers = window.fetch.bind(window);
	window.fetch = async (input, init) => {
		try {
			return await browsers(input, init);
		} catch (error) {
			const url = new URL(input instanceof Request ? input.url : input, location.href);
			if (!url.pathname.endsWith(DATA) || !(error instanceof TypeError)) throw error;
			link.tellDown();
			return answerFor(url);
		}
	};
	return () => {
		window.fetch = browsers;
	};
}

/** Nothing of the page has changed; or, of another page: the way leads back to this one. */
function answerFor({ pathname, searchParams }: URL): Response {
	const isHere = pathname.slice(0, -DATA.length) === location.pathname.replace(/\/$/, '');
	if (isHere) {
		const nodes = Array.from(searchParams.get(INVALIDATED) ?? '', () => ({ type: 'skip' }));
		return Response.json({ type: 'data', nodes });
	}
	tellTrouble(new TypeError('no network'), 'There is no network: this page stays open.');
	return Response.json({ type: 'redirect', location: location.pathname + location.search });
}
