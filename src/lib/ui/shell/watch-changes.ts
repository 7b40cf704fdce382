import type { Announcement } from '$lib/server/database/news';
import { link } from '../offline/link.svelte';
import { windowId } from '../window-id';

/**
 * Listens for what other windows do, as long as this one is seen: browsers keep few connections to a server, so that
 * a tab in the background gives its up, and asks anew when it comes back.
 *
 * @param onOther something was done elsewhere, or may have been
 * @returns stops listening
 */
export function watchChanges(onOther: () => void): () => void {
	let source: EventSource | null = null;
	let isAgain = false;
	const open = () => {
		source = new EventSource('/api/changes');
		source.onopen = () => {
			link.tellUp();
			if (isAgain) onOther();
			isAgain = true;
		};
		source.onerror = () => void link.probe();
		source.onmessage = ({ data }: MessageEvent<string>) => {
			const { window } = JSON.parse(data) as Announcement;
			if (window !== windowId()) onOther();
		};
	};
	const close = () => {
		source?.close();
		source = null;
	};
	const turn = () => {
		if (document.hidden) close();
		else if (source === null) open();
	};
	turn();
	document.addEventListener('visibilitychange', turn);
	return () => {
		document.removeEventListener('visibilitychange', turn);
		close();
	};
}
