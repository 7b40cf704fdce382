import { error } from '@sveltejs/kit';
import { goalGroups } from '$lib/core/goal/goal-groups';
import { totalProgress } from '$lib/core/goal/progress';
import { theCollection } from '$lib/server/collection';
import { countOwned } from '$lib/server/copies/read-copies';
import { readGoal } from '$lib/server/goals/read-goals';
import { rowId } from '$lib/core/row-id';

/** What is missing, card by card: to carry to a fair, or to print. */
export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const found = await readGoal((await theCollection()).db, rowId(Number(params.goal)));
	if (!found) error(404, 'There is no such goal. It may have been removed; undo brings it back.');
	const { goal, releases, copies, slots, filling } = found;
	const groups = goalGroups(releases, slots, filling).map(({ name, have, need, cards }) => ({
		name,
		have,
		need,
		cards: cards.map(({ version, card, variant, quantity }) => ({
			version,
			number: card.number,
			title: card.title,
			variant,
			quantity
		}))
	}));
	return {
		goal: { id: goal.id, name: goal.name },
		/** What is there already: a copy that fills another set, or is not good enough for this one. */
		owned: [...countOwned(copies)],
		groups: groups.filter(({ cards }) => cards.length > 0),
		...totalProgress(groups)
	};
};
