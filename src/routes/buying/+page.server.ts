import { fail } from '@sveltejs/kit';
import type { Priority } from '$lib/core/buying/wants/wants-list';
import { bad, good, type Outcome } from '$lib/core/problem';
import { parseAmount } from '$lib/core/money/amount';
import { BuyingRulesFormSchema, GoalChoiceFormSchema } from '$lib/schemas/forms/buying';
import { chooseGoal, setBuyingRules } from '$lib/server/buying/finish/choose-goals';
import { theCollection } from '$lib/server/collection';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { pageTask } from '$lib/server/workers/file-task';
import { rowId } from '$lib/core/row-id';

export const load = async ({ depends, request }) => {
	depends('jade:copies');
	return pageTask('finishView', undefined, request.signal);
};

const answer = (form: string, done: Outcome<unknown>) =>
	done.ok ? { form } : fail(400, { form, problems: done.problems });

export const actions = {
	/** To be finished, let go, or nothing yet. */
	choose: async ({ request }) => {
		const form = await readFormOf(request, GoalChoiceFormSchema);
		if (!form.ok) return answer('choose', form);
		const collection = await theCollection();
		const { goal, choice, priority = 2, most = '' } = form.value;
		const { currency } = await readPreference(collection.db, BUYING_RULES);
		const limit = most === '' ? null : parseAmount(most, currency);
		if (limit && !limit.ok) return answer('choose', limit);
		const mostMinor = limit ? limit.value.minor : null;
		return answer(
			'choose',
			await chooseGoal(collection, rowId(goal), {
				choice: choice === 'nothing yet' ? null : choice,
				priority: priority as Priority,
				mostMinor,
				currency: mostMinor === null ? null : currency
			})
		);
	},
	/** By what goals are ranked, and what is reckoned with. */
	rules: async ({ request }) => {
		const form = await readFormOf(request, BuyingRulesFormSchema);
		if (!form.ok) return answer('rules', form);
		const collection = await theCollection();
		const { rule, mostPercent, postage: typed, currency: code } = form.value;
		const currency = code.toUpperCase();
		const read = (): Outcome<number> => {
			if (!/^[A-Z]{3}$/.test(currency)) {
				const message = `"${code}" is no currency`;
				return bad([{ field: 'currency', message, remedy: 'Three letters, as EUR or USD.' }]);
			}
			const postage = parseAmount(typed, currency);
			return postage.ok
				? good(postage.value.minor)
				: bad(postage.problems.map((each) => ({ ...each, field: 'postage' })));
		};
		const postage = read();
		if (!postage.ok) return answer('rules', postage);
		const before = await readPreference(collection.db, BUYING_RULES);
		return answer(
			'rules',
			await setBuyingRules(collection, {
				...before,
				...{ currency, rule, postageMinor: postage.value, mostShare: mostPercent / 100 }
			})
		);
	}
};
