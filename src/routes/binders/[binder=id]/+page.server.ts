import { textOf } from '$lib/server/form-fields';
import { error, fail, redirect } from '@sveltejs/kit';
import { changeBinder, removeBinder, swapPockets } from '$lib/server/binders/change-binder';
import { swapLying } from '$lib/server/binders/move-cards';
import { readLayoutForm } from '$lib/server/binders/read-layout-form';
import { theCollection } from '$lib/server/collection';
import { rowId } from '$lib/core/row-id';

export const actions = {
	layout: async ({ params, request }) => {
		const form = await request.formData();
		const layout = readLayoutForm(form);
		if (!layout.ok) return fail(400, { problems: layout.problems });
		const name = form.has('name') ? { name: textOf(form, 'name').slice(0, 200) } : {};
		const done = await changeBinder(await theCollection(), rowId(Number(params.binder)), {
			...name,
			layout: layout.value
		});
		return done.ok ? { done: true } : fail(400, { problems: done.problems });
	},
	swap: async ({ params, request }) => {
		const form = await request.formData();
		const [first, second] = ['first', 'second'].map((field) => readPocket(textOf(form, field)));
		const done =
			first && second
				? await swapPockets(await theCollection(), rowId(Number(params.binder)), first, second)
				: null;
		if (done?.ok) return { done: true };
		return fail(400, { problems: done?.problems ?? [{ message: 'name two pockets' }] });
	},
	correct: async ({ params, request }) => {
		const form = await request.formData();
		const [first = '', second = ''] = ['first', 'second'].map((field) => textOf(form, field));
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

/** "3/0": the first pocket of page 3; null where the text is none. */
function readPocket(text: string) {
	const [, page, pocket] = /^(\d{1,6})\/(\d{1,4})$/.exec(text) ?? [];
	return page === undefined ? null : { page: Number(page), pocket: Number(pocket) };
}
