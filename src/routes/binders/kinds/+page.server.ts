import { fail } from '@sveltejs/kit';
import { good, type Outcome } from '$lib/core/problem';
import {
	BinderKindFormSchema,
	KindIdFormSchema,
	KindSortFormSchema,
	PageKindFormSchema
} from '$lib/schemas/forms/binders';
import { addKind, removeKind, type NewKind } from '$lib/server/kinds/own-kinds';
import { readOwnKinds } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { readForm, readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	return readOwnKinds((await theCollection()).db);
};

/** What a form of a kind holds. */
function readKind(form: FormData, sort: 'page' | 'binder'): Outcome<NewKind> {
	if (sort === 'page') {
		const kind = readForm(form, PageKindFormSchema);
		return kind.ok ? good({ sort, kind: kind.value }) : kind;
	}
	const kind = readForm(form, BinderKindFormSchema);
	return kind.ok ? good({ sort, kind: kind.value }) : kind;
}

export const actions = {
	add: async ({ request }) => {
		const form = await request.formData();
		const of = readForm(form, KindSortFormSchema);
		if (!of.ok) return fail(400, { sort: 'page' as const, problems: of.problems });
		const { sort } = of.value;
		const kind = readKind(form, sort);
		if (!kind.ok) return fail(400, { sort, problems: kind.problems });
		const done = await addKind(await theCollection(), kind.value);
		return done.ok ? { sort } : fail(400, { sort, problems: done.problems });
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, KindIdFormSchema);
		if (!form.ok) return fail(400, { sort: 'page' as const, problems: form.problems });
		const { sort, key } = form.value;
		const done = await removeKind(await theCollection(), sort, key);
		return done.ok ? { sort } : fail(400, { sort, problems: done.problems });
	}
};
