import { fail } from '@sveltejs/kit';
import { BackFormSchema } from '$lib/schemas/forms/log';
import { theCollection } from '$lib/server/collection';
import { bringBack, listBack, listOutings } from '$lib/server/copies/outings';
import { placesOfCopies } from '$lib/server/places/places-of';
import { readFormOf } from '$lib/server/read-form';

/** Of what came back, so much is shown. */
const LAST_BACK = 20;

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	const out = await listOutings(db, now());
	const places = await placesOfCopies(
		db,
		out.map(({ copyId }) => copyId)
	);
	return {
		out: out.map((line) => ({ ...line, places: places.get(line.copyId) ?? [] })),
		back: await listBack(db, now(), LAST_BACK)
	};
};

export const actions = {
	/** It is back, and stands where it stood. */
	back: async ({ request }) => {
		const form = await readFormOf(request, BackFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const done = await bringBack(await theCollection(), form.value.outing);
		return done.ok ? { back: true } : fail(409, { problems: done.problems });
	}
};
