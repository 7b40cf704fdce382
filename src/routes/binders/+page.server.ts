import { binderKindOf } from '$lib/core/binder/binder-kind';
import { pageKindOf } from '$lib/core/binder/page-kind';
import { MOST_BLOCKS, whatFits, type FittedBinder } from '$lib/core/binder/what-fits';
import { NewBinderFormSchema } from '$lib/schemas/forms';
import { readFormOf } from '$lib/server/read-form';
import { fail, redirect } from '@sveltejs/kit';
import { makeBinder } from '$lib/server/binders/change-binder';
import { listBinders, readBinder, type StoredBinder } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { countReleases } from '$lib/server/releases/list-releases';

export const load = async () => {
	const { db } = await theCollection();
	const binders = await Promise.all(
		(await listBinders(db)).map(async ({ id, name, goalId, goalName }) => {
			const found = await readBinder(db, id);
			const pages = found?.plan.cardPages ?? 0;
			const pockets = found?.slots.length ?? 0;
			const filled = found?.cards.size ?? 0;
			const room = found && roomOf(found, goalName);
			return {
				id,
				name,
				goalId,
				goalName,
				pages,
				leaves: found?.plan.leaves ?? 0,
				filled,
				pockets,
				room
			};
		})
	);
	const goals = await listGoals(db);
	const homeless = goals
		.filter(({ id, need }) => need > 0 && !binders.some(({ goalId }) => goalId === id))
		.slice(0, MOST_BLOCKS);
	return {
		binders: binders.map(({ room, goalId: _, ...binder }) => ({
			...binder,
			room: room ? roomIn(room, homeless) : null
		})),
		goals,
		releases: await countReleases(db)
	};
};

/** A binder as what it holds is laid now: as many volumes as it takes. */
function roomOf({ plan, layout, setting }: StoredBinder, goalName: string): FittedBinder {
	const { columns, rows } = pageKindOf(layout.pageKind, setting.pageKinds);
	const { mostLeaves } = binderKindOf(layout.binderKind, setting.binderKinds);
	const pocketsPerPage = columns * rows;
	return {
		key: goalName,
		pages: plan.volumes.length * mostLeaves * 2,
		pocketsPerPage,
		holds: [{ key: goalName, pockets: plan.cardPages * pocketsPerPage }]
	};
}

/** What room a binder has left, and which goals without a binder may join, by name. */
function roomIn(
	binder: FittedBinder,
	goals: readonly { readonly id: number; readonly name: string; readonly need: number }[]
) {
	const blocks = goals.map(({ id, need }) => ({ key: `goal ${id}`, pockets: need }));
	const [room] = whatFits([binder], blocks, 'own page');
	const namesOf = (keys: readonly string[] = []) =>
		goals.filter(({ id }) => keys.includes(`goal ${id}`)).map(({ name }) => name);
	return {
		pagesFree: room?.pagesFree ?? 0,
		mayJoin: namesOf(room?.mayJoin),
		fullest: namesOf(room?.fullest)
	};
}

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
