import { USUAL_PERCENTS } from '$lib/core/buying/condition/condition-choices';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import type { ConditionAsk } from '$lib/server/buying/condition/condition-view';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { readQuery } from '$lib/server/read-query';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const { misread, number, money, id, isYes } = readQuery(url.searchParams, currency);
	const [budgetMinor, packMinor] = [money('budget'), money('pack')];
	const average = number('average', 1, 10);
	const percent = (name: keyof typeof USUAL_PERCENTS) =>
		number(name, 0, 1000) ?? USUAL_PERCENTS[name];
	const ask: ConditionAsk = {
		...{ goal: id<'goals'>('goal'), arePinned: isYes('pinned'), isWhole: isYes('whole') },
		percents: {
			'near mint': 100,
			excellent: percent('excellent'),
			'very good': percent('very good'),
			good: percent('good')
		},
		...(budgetMinor === undefined ? {} : { budgetMinor }),
		...(packMinor === undefined ? {} : { packMinor }),
		...(average === undefined ? {} : { average })
	};
	return { ...(await pageTask('conditionView', ask, request.signal)), ask, misread };
};
