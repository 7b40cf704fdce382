import { fail } from '@sveltejs/kit';
import { bad, good, type Outcome } from '$lib/core/problem';
import { BinderKindSchema, PageKindSchema } from '$lib/schemas/binder';
import { checkAgainst } from '$lib/schemas/validator';
import { addKind, removeKind, type NewKind } from '$lib/server/kinds/own-kinds';
import { readOwnKinds } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { formFields, textOf } from '$lib/server/form-fields';

export const load = async ({ depends }) => {
	depends('jade:copies');
	return readOwnKinds((await theCollection()).db);
};

/** What a form of a kind holds: numbers as numbers, so that the schema can judge them. */
function readKind(form: FormData, sort: 'page' | 'binder'): Outcome<NewKind> {
	const { word, number } = formFields(form);
	const kind =
		sort === 'page'
			? {
					name: word('name'),
					rows: number('rows'),
					columns: number('columns'),
					pocketWidthMm: number('pocketWidthMm'),
					pocketHeightMm: number('pocketHeightMm'),
					loading: word('loading'),
					thickestPt: number('thickestPt')
				}
			: {
					name: word('name'),
					mostLeaves: number('mostLeaves'),
					spineDepthMm: number('spineDepthMm')
				};
	const schema = sort === 'page' ? PageKindSchema : BinderKindSchema;
	const problems = checkAgainst(schema, { ...kind, key: 'own' });
	return problems.length > 0 ? bad(problems) : good({ sort, kind } as NewKind);
}

export const actions = {
	add: async ({ request }) => {
		const form = await request.formData();
		const sort = form.get('sort') === 'binder' ? 'binder' : 'page';
		const kind = readKind(form, sort);
		if (!kind.ok) return fail(400, { sort, problems: kind.problems });
		const done = await addKind(await theCollection(), kind.value);
		return done.ok ? { sort } : fail(400, { sort, problems: done.problems });
	},
	remove: async ({ request }) => {
		const form = await request.formData();
		const sort = form.get('sort') === 'binder' ? 'binder' : 'page';
		const done = await removeKind(await theCollection(), sort, textOf(form, 'key'));
		return done.ok ? { sort } : fail(400, { sort, problems: done.problems });
	}
};
