import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import type { PacksAsk } from '$lib/server/packs/packs-view';
import { readPreference } from '$lib/server/preferences/preferences';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import { USUAL_EXTRA } from './usual-extra';
import type { PageServerLoad } from './$types';

const MOST_PACKS = 2000;

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const { misread, text, number, money, id } = readQuery(url.searchParams, currency);
	const packs = number('packs', 1, MOST_PACKS);
	const ask: PacksAsk = {
		...{ goal: id<'goals'>('goal'), pack: text('pack') === '' ? null : text('pack') },
		packs: packs === undefined ? null : Math.round(packs),
		priceMinor: money('price') ?? null,
		postageMinor: money('postage') ?? 0,
		extraPercent: number('extra', 0, 100) ?? USUAL_EXTRA.percent,
		extraFromMinor: money('from') ?? USUAL_EXTRA.fromMinor
	};
	return { ...(await pageTask('packsView', ask, request.signal)), ask, misread };
};
