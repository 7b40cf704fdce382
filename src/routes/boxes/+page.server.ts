import { fail } from '@sveltejs/kit';
import { moveBoxes } from '$lib/server/storage/room/edit-boxes';
import { readRoom } from '$lib/server/storage/room/read-room';
import { theCollection } from '$lib/server/collection';
import { listTrays } from '$lib/server/copies/trays';
import { countReleases } from '$lib/server/releases/list-releases';
import { rowId } from '$lib/core/row-id';
import { MovesFormSchema } from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		room: await readRoom(db),
		trays: await listTrays(db),
		isEmpty: (await countReleases(db)) === 0
	};
};

export const actions = {
	/** Moves boxes as advised: one, or all that are named. */
	move: async ({ request }) => {
		const form = await readFormOf(request, MovesFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const moves = form.value.move.map((move) => {
			const [box = 0, shelf = 0] = move.split(' ').map(Number);
			return { box: rowId<'boxes'>(box), shelf: rowId<'shelves'>(shelf) };
		});
		const done = await moveBoxes(await theCollection(), moves);
		return done.ok ? { moved: done.value.moved } : fail(409, { problems: done.problems });
	}
};
