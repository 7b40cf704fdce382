import { USUAL_PERCENTS } from '$lib/core/buying/condition/condition-choices';
import type { Problem } from '$lib/core/problem';
import { rowId } from '$lib/core/row-id';
import { parseAmount } from '$lib/core/worth/amount';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import type { ConditionAsk } from '$lib/server/buying/condition/condition-view';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { currency } = await readPreference(db, BUYING_RULES);
	const query = url.searchParams;
	const misread: Problem[] = [];
	const text = (name: string) => (query.get(name) ?? '').trim().replace(',', '.');
	const number = (name: string, least: number, most: number) => {
		if (text(name) === '') return undefined;
		const value = Number(text(name));
		if (value >= least && value <= most) return value;
		const message = `"${text(name).slice(0, 40)}" is no number from ${least} to ${most}`;
		misread.push({ field: name, message, remedy: 'Write one, or nothing.' });
		return undefined;
	};
	const money = (name: string) => {
		const said = (query.get(name) ?? '').trim();
		if (said === '') return undefined;
		const read = parseAmount(said, currency);
		if (read.ok) return read.value.minor;
		misread.push(...read.problems.map((problem) => ({ ...problem, field: name })));
		return undefined;
	};
	const [budgetMinor, packMinor] = [money('budget'), money('pack')];
	const average = number('average', 1, 10);
	const goal = /^[1-9]\d{0,14}$/.test(text('goal')) ? rowId<'goals'>(Number(text('goal'))) : null;
	const percent = (name: keyof typeof USUAL_PERCENTS) =>
		number(name, 0, 1000) ?? USUAL_PERCENTS[name];
	const ask: ConditionAsk = {
		...{ goal, arePinned: query.get('pinned') === 'yes', isWhole: query.get('whole') === 'yes' },
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
