import { error, redirect } from '@sveltejs/kit';
import { runsOf } from '$lib/core/checklist/production';
import { missingList } from '$lib/core/goal/missing-list';
import { totalProgress } from '$lib/core/goal/progress';
import { listBinders, makeBinder } from '$lib/server/binders/binders';
import { theCollection } from '$lib/server/collection';
import { countOwned } from '$lib/server/copies/read-copies';
import { removeGoal } from '$lib/server/goals/make-goal';
import { readGoal } from '$lib/server/goals/read-goals';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const found = await readGoal(db, Number(params.goal));
	if (!found) error(404, 'There is no such goal. It may have been removed; undo brings it back.');
	const { goal, release, copies, slots, filling } = found;
	const copyOf = new Map(copies.map((copy) => [copy.key, copy]));
	const groups = missingList(release, slots, filling);
	return {
		goal: { id: goal.id, name: goal.name, rules: goal.rules },
		release,
		owned: [...countOwned(copies)],
		needed: slots.flatMap(({ versions }) => versions),
		groups: groups.map(({ cards: _, section, ...group }) => ({ ...group, kind: section.kind })),
		...totalProgress(groups),
		limits: runsOf(slots.map(({ version }) => version)),
		spares: filling.spares.map(({ copy, quantity }) => ({
			quantity,
			version: copyOf.get(copy)?.version ?? '',
			condition: copyOf.get(copy)?.condition ?? null
		})),
		binders: (await listBinders(db)).filter(({ goalId }) => goalId === goal.id)
	};
};

export const actions = {
	binder: async ({ params }) => {
		const id = await makeBinder(await theCollection(), { goalId: Number(params.goal), name: '' });
		if (id === null) error(404, 'There is no such goal.');
		redirect(303, `/binders/${id}`);
	},
	remove: async ({ params }) => {
		if (!(await removeGoal(await theCollection(), Number(params.goal)))) {
			error(404, 'There is no such goal.');
		}
		redirect(303, '/goals');
	}
};
