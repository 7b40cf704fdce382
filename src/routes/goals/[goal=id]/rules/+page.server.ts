import { error } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { goalOptions } from '$lib/server/goals/goal-options';
import { listGoals } from '$lib/server/goals/read-goals';

export const load = async ({ params }) => {
	const { db } = await theCollection();
	const goal = (await listGoals(db)).find(({ id }) => id === Number(params.goal));
	if (!goal) error(404, 'There is no such goal. It may have been removed; undo brings it back.');
	const options = await goalOptions(db, goal.releaseKey, goal.rules.releases);
	if (!options) error(404, 'The release of this goal is gone.');
	return { goal: { id: goal.id, name: goal.name, rules: goal.rules }, options };
};
