import { error, fail, redirect } from '@sveltejs/kit';
import {
	changeBinder,
	holdInBinder,
	removeBinder,
	swapPockets
} from '$lib/server/binders/change-binder';
import { swapLying } from '$lib/server/binders/move-cards';
import {
	BinderFormSchema,
	BlocksFormSchema,
	CorrectFormSchema,
	HeldGoalsFormSchema,
	SwapFormSchema
} from '$lib/schemas/forms/binders';
import { listGoals } from '$lib/server/goals/read-goals';
import { readFormOf } from '$lib/server/read-form';
import { theCollection } from '$lib/server/collection';
import { rowId } from '$lib/core/row-id';

export const load = async () => ({
	allGoals: (await listGoals((await theCollection()).db)).map(({ id, name, need }) => ({
		id,
		name,
		need
	}))
});

export const actions = {
	layout: async ({ params, request }) => {
		const form = await readFormOf(request, BinderFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { name, ...layout } = form.value;
		const done = await changeBinder(await theCollection(), rowId(Number(params.binder)), {
			...(name === undefined ? {} : { name }),
			layout
		});
		return done.ok ? { done: true } : fail(400, { problems: done.problems });
	},
	goals: async ({ params, request }) => {
		const form = await readFormOf(request, HeldGoalsFormSchema);
		if (!form.ok) return fail(400, { goalProblems: form.problems });
		const { goal, order } = form.value;
		const done = await holdInBinder(
			await theCollection(),
			rowId(Number(params.binder)),
			goal.map((id, i) => ({ goalId: rowId(Number(id)), order: order[i] || null }))
		);
		return done.ok ? { done: true } : fail(400, { goalProblems: done.problems });
	},
	blocks: async ({ params, request }) => {
		const form = await readFormOf(request, BlocksFormSchema);
		if (!form.ok) return fail(400, { blockProblems: form.problems });
		const { block, order } = form.value;
		const done = await changeBinder(await theCollection(), rowId(Number(params.binder)), {
			layout: {
				blocks: block.map((key, i) => ({ block: key, ...(order[i] ? { order: order[i] } : {}) }))
			}
		});
		return done.ok ? { done: true } : fail(400, { blockProblems: done.problems });
	},
	swap: async ({ params, request }) => {
		const form = await readFormOf(request, SwapFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { first, second } = form.value;
		const done = await swapPockets(
			await theCollection(),
			rowId(Number(params.binder)),
			readPocket(first),
			readPocket(second)
		);
		return done.ok ? { done: true } : fail(400, { problems: done.problems });
	},
	correct: async ({ params, request }) => {
		const form = await readFormOf(request, CorrectFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { first, second } = form.value;
		const done = await swapLying(
			await theCollection(),
			rowId(Number(params.binder)),
			first,
			second
		);
		return done.ok ? { done: true } : fail(400, { problems: done.problems });
	},
	remove: async ({ params }) => {
		if (!(await removeBinder(await theCollection(), rowId(Number(params.binder))))) {
			error(404, 'There is no such binder.');
		}
		redirect(303, '/binders');
	}
};

/** "3/0": the first pocket of page 3. */
function readPocket(text: string) {
	const [page = 0, pocket = 0] = text.split('/').map(Number);
	return { page, pocket };
}
