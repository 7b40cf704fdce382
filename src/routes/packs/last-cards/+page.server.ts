import type { LastCardsAsk } from '$lib/server/packs/last-cards-view';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const text = (name: string) => url.searchParams.get(name)?.trim() || null;
	const ask: LastCardsAsk = { pack: text('pack'), group: text('group') };
	return pageTask('lastCardsView', ask, request.signal);
};
