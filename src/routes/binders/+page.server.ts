import { NewBinderFormSchema } from '$lib/schemas/forms';
import { readFormOf } from '$lib/server/read-form';
import { fail, redirect } from '@sveltejs/kit';
import { makeBinder } from '$lib/server/binders/change-binder';
import { listBinders, readBinder } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { countReleases } from '$lib/server/releases/list-releases';

export const load = async () => {
	const { db } = await theCollection();
	const binders = await Promise.all(
		(await listBinders(db)).map(async ({ id, name, goalName }) => {
			const found = await readBinder(db, id);
			const pages = found?.plan.cardPages ?? 0;
			const pockets = found?.slots.length ?? 0;
			const filled = found?.cards.size ?? 0;
			return { id, name, goalName, pages, leaves: found?.plan.leaves ?? 0, filled, pockets };
		})
	);
	return { binders, goals: await listGoals(db), releases: await countReleases(db) };
};

export const actions = {
	default: async ({ request }) => {
		const form = await readFormOf(request, NewBinderFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { goal, name } = form.value;
		const id = await makeBinder(await theCollection(), { goalId: goal, name });
		if (id === null) return fail(400, { problems: [{ message: 'choose a goal for the binder' }] });
		redirect(303, `/binders/${id}`);
	}
};
