import { fail } from '@sveltejs/kit';
import { TileFormSchema } from '$lib/schemas/forms/packs';
import { theCollection } from '$lib/server/collection';
import { openTile } from '$lib/server/packs/tiles/open-tile';
import { tilesView } from '$lib/server/packs/tiles/tiles-view';
import { readFormOf } from '$lib/server/read-form';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return tilesView(db, url.searchParams.get('release'));
};

export const actions = {
	/** A copy is opened: this tile was in it. */
	open: async ({ request }) => {
		const form = await readFormOf(request, TileFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { copy, tile } = form.value;
		const done = await openTile(await theCollection(), copy, tile);
		return done.ok ? { done: true } : fail(400, { problems: done.problems });
	}
};
