import { theCollection } from '$lib/server/collection';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import type { LadderAsk } from '$lib/server/worth/ladder-view';
import type { PageServerLoad } from './$types';

const USUAL_TOP = 10;
const MOST_TOP = 500;

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const { misread, text, number } = readQuery(url.searchParams, 'EUR');
	const ask: LadderAsk = {
		...{
			release: text('release') || null,
			column: text('at') || null,
			house: text('house') || null
		},
		top: Math.round(number('top', 1, MOST_TOP) ?? USUAL_TOP),
		...{ card: text('card') || null, today: now().slice(0, 10) }
	};
	return { ...(await pageTask('ladderView', ask, request.signal)), misread };
};
