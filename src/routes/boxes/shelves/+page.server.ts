import { fail } from '@sveltejs/kit';
import type { Outcome } from '$lib/core/problem';
import { boxFields, saveBox } from '$lib/server/storage/room/edit-boxes';
import { placeBinder, removeShelf, saveShelf } from '$lib/server/storage/room/edit-shelves';
import { readRoom } from '$lib/server/storage/room/read-room';
import { readBoxKinds } from '$lib/server/places/box-kinds';
import { readHosts } from '$lib/server/storage/room/read-storage';
import { readKeeping } from '$lib/server/places/keeping';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';
import {
	BoxFormSchema,
	BoxKindFormSchema,
	BoxKindIdFormSchema,
	PlaceBinderFormSchema,
	ShelfFormSchema,
	ShelfIdFormSchema
} from '$lib/schemas/forms/boxes';
import { ownBoxKind } from '$lib/core/storage/kinds/box-kind';
import { addKind, removeKind } from '$lib/server/kinds/own-kinds';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { shelves, binders } = await readRoom(db);
	return {
		shelves,
		binders,
		kinds: await readBoxKinds(db),
		uses: (await readKeeping(db)).uses,
		hosts: await readHosts(db)
	};
};

/** Which form it was, with its problems: all of them. */
const answer = (form: string, done: Outcome<unknown>) =>
	done.ok ? { form } : fail(400, { form, problems: done.problems });

export const actions = {
	shelf: async ({ request }) => {
		const form = await readFormOf(request, ShelfFormSchema);
		if (!form.ok) return answer('shelf', form);
		const { id, ratingKg, ...place } = form.value;
		const shelf = { ...place, ratingG: ratingKg === null ? null : Math.round(ratingKg * 1000) };
		return answer('shelf', await saveShelf(await theCollection(), shelf, id ?? undefined));
	},
	dropShelf: async ({ request }) => {
		const form = await readFormOf(request, ShelfIdFormSchema);
		if (!form.ok) return answer('shelf', form);
		return answer('shelf', await removeShelf(await theCollection(), form.value.id));
	},
	box: async ({ request }) => {
		const form = await readFormOf(request, BoxFormSchema);
		if (!form.ok) return answer('box', form);
		return answer('box', await saveBox(await theCollection(), boxFields(form.value)));
	},
	binder: async ({ request }) => {
		const form = await readFormOf(request, PlaceBinderFormSchema);
		if (!form.ok) return answer('binder', form);
		const { binder, shelfId } = form.value;
		return answer('binder', await placeBinder(await theCollection(), binder, shelfId));
	},
	kind: async ({ request }) => {
		const kind = await readFormOf(request, BoxKindFormSchema);
		if (!kind.ok) return answer('kind', kind);
		const done = await addKind(await theCollection(), {
			sort: 'box',
			kind: ownBoxKind(kind.value)
		});
		return answer('kind', done);
	},
	dropKind: async ({ request }) => {
		const form = await readFormOf(request, BoxKindIdFormSchema);
		if (!form.ok) return answer('kind', form);
		return answer('kind', await removeKind(await theCollection(), 'box', form.value.key));
	}
};
