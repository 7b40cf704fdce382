import { fail } from '@sveltejs/kit';
import { BOX_USES } from '$lib/core/storage/kinds/box-use';
import type { BoxKind } from '$lib/core/storage/kinds/box-kind';
import { bad, type Outcome } from '$lib/core/problem';
import { BoxKindSchema } from '$lib/schemas/compute-boxes';
import { ShelfSchema } from '$lib/schemas/shelf';
import { checkAgainst } from '$lib/schemas/validator';
import { saveBox } from '$lib/server/storage/room/edit-boxes';
import {
	placeBinder,
	removeShelf,
	saveShelf,
	type NewShelf
} from '$lib/server/storage/room/edit-shelves';
import { readRoom } from '$lib/server/storage/room/read-room';
import { readBoxKinds } from '$lib/server/storage/room/read-storage';
import { theCollection } from '$lib/server/collection';
import { formFields } from '$lib/server/form-fields';
import { addKind, removeKind } from '$lib/server/kinds/own-kinds';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { shelves, binders } = await readRoom(db);
	return { shelves, binders, kinds: await readBoxKinds(db) };
};

/** Which form it was, with its problems: all of them. */
const answer = (form: string, done: Outcome<unknown>) =>
	done.ok ? { form } : fail(400, { form, problems: done.problems });

export const actions = {
	shelf: async ({ request }) => {
		const { word, number, orNull, idOrNull } = formFields(await request.formData());
		const kg = orNull('ratingKg');
		const shelf = {
			room: word('room'),
			unit: word('unit'),
			level: number('level'),
			lengthMm: number('lengthMm'),
			ratingG: typeof kg === 'number' ? Math.round(kg * 1000) : kg
		};
		const problems = checkAgainst(ShelfSchema, shelf);
		if (problems.length > 0) return answer('shelf', bad(problems));
		const row = idOrNull<'shelves'>('id') ?? undefined;
		return answer('shelf', await saveShelf(await theCollection(), shelf as NewShelf, row));
	},
	dropShelf: async ({ request }) => {
		const { id } = formFields(await request.formData());
		return answer('shelf', await removeShelf(await theCollection(), id('id')));
	},
	box: async ({ request }) => {
		const { word, idOrNull } = formFields(await request.formData());
		const use = BOX_USES.find((choice) => choice === word('use')) ?? 'sets';
		const fields = {
			name: word('name'),
			kind: word('kind'),
			use,
			shelfId: idOrNull<'shelves'>('shelf')
		};
		return answer('box', await saveBox(await theCollection(), fields));
	},
	binder: async ({ request }) => {
		const { id, idOrNull } = formFields(await request.formData());
		const shelf = idOrNull<'shelves'>('shelf');
		return answer('binder', await placeBinder(await theCollection(), id('binder'), shelf));
	},
	kind: async ({ request }) => {
		const { word, number } = formFields(await request.formData());
		const kind = {
			name: word('name'),
			lengthMm: number('lengthMm'),
			widthMm: number('widthMm'),
			heightMm: number('heightMm'),
			rows: number('rows'),
			rowMm: number('rowMm'),
			nominalCount: number('nominalCount'),
			countStockPt: number('countStockPt'),
			tareG: number('tareG')
		};
		const problems = checkAgainst(BoxKindSchema, { ...kind, key: 'own' });
		if (problems.length > 0) return answer('kind', bad(problems));
		const described = kind as Omit<BoxKind, 'key'>;
		return answer('kind', await addKind(await theCollection(), { sort: 'box', kind: described }));
	},
	dropKind: async ({ request }) => {
		const { word } = formFields(await request.formData());
		return answer('kind', await removeKind(await theCollection(), 'box', word('key')));
	}
};
