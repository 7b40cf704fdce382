import { binderKindOf } from '$lib/core/binder/binder-kind';
import { pageKindOf } from '$lib/core/binder/page-kind';
import { MOST_BLOCKS, whatFits, type FittedBinder } from '$lib/core/binder/what-fits';
import { JoinBinderFormSchema, NewBinderFormSchema } from '$lib/schemas/forms/binders';
import { readFormOf } from '$lib/server/read-form';
import { fail, redirect } from '@sveltejs/kit';
import { holdInBinder, makeBinder } from '$lib/server/binders/change-binder';
import { listBinders, readBinder, type StoredBinder } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import type { GoalId } from '$lib/core/row-id';
import { goalsOfBinders } from '$lib/server/held-goals/goals-of-binders';
import { listGoals } from '$lib/server/goals/read-goals';
import { countReleases } from '$lib/server/releases/list-releases';

export const load = async () => {
	const { db } = await theCollection();
	const binders = await Promise.all(
		(await listBinders(db)).map(async ({ id, name, goals: held }) => {
			const found = await readBinder(db, id);
			return {
				id,
				name,
				held,
				pages: found?.plan.cardPages ?? 0,
				leaves: found?.plan.leaves ?? 0,
				filled: found?.cards.size ?? 0,
				pockets: found?.slots.length ?? 0,
				room: found && roomOf(found)
			};
		})
	);
	const goals = await listGoals(db);
	const housed = new Set(binders.flatMap(({ held }) => held.map(({ id }) => id)));
	const homeless = goals
		.filter(({ id, need }) => need > 0 && !housed.has(id))
		.slice(0, MOST_BLOCKS);
	return {
		binders: binders.map(({ room, ...binder }) => ({
			...binder,
			room: room ? roomIn(room, homeless) : null
		})),
		goals,
		releases: await countReleases(db)
	};
};

/** A binder as what it holds is laid now: as many volumes as it takes. */
function roomOf({ binder, plan, layout, setting }: StoredBinder): FittedBinder {
	const { columns, rows } = pageKindOf(layout.pageKind, setting.pageKinds);
	const { mostLeaves } = binderKindOf(layout.binderKind, setting.binderKinds);
	const pocketsPerPage = columns * rows;
	const key = `binder ${binder.id}`;
	return {
		key,
		pages: plan.volumes.length * mostLeaves * 2,
		pocketsPerPage,
		holds: [{ key, pockets: plan.cardPages * pocketsPerPage }]
	};
}

/** What room a binder has left, and which goals without a binder may join. */
function roomIn(
	binder: FittedBinder,
	goals: readonly { readonly id: GoalId; readonly name: string; readonly need: number }[]
) {
	const blocks = goals.map(({ id, need }) => ({ key: `goal ${id}`, pockets: need }));
	const [room] = whatFits([binder], blocks, 'own page');
	const named = (keys: readonly string[] = []) =>
		goals.filter(({ id }) => keys.includes(`goal ${id}`)).map(({ id, name }) => ({ id, name }));
	return {
		pagesFree: room?.pagesFree ?? 0,
		mayJoin: named(room?.mayJoin),
		fullest: named(room?.fullest).map(({ name }) => name)
	};
}

export const actions = {
	/** A goal joins what a binder holds, behind the others. */
	join: async ({ request }) => {
		const form = await readFormOf(request, JoinBinderFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { binder, goal } = form.value;
		const collection = await theCollection();
		const held = (await goalsOfBinders(collection.db, [binder])).get(binder) ?? [];
		const done = await holdInBinder(collection, binder, [...held, { goalId: goal, order: null }]);
		if (!done.ok) return fail(400, { problems: done.problems });
		redirect(303, `/binders/${binder}`);
	},
	plan: async ({ request }) => {
		const form = await readFormOf(request, NewBinderFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { goal, name } = form.value;
		const id = await makeBinder(await theCollection(), { goalId: goal, name });
		if (id === null) return fail(400, { problems: [{ message: 'choose a goal for the binder' }] });
		redirect(303, `/binders/${id}`);
	}
};
