import { redirect } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { loadDemo } from '$lib/server/demo/load-demo';
import { listGoals } from '$lib/server/goals/read-goals';
import { listReleases } from '$lib/server/releases/list-releases';

export const load = async () => {
	const { db } = await theCollection();
	return { releases: await listReleases(db), goals: await listGoals(db) };
};

export const actions = {
	/** Puts the demo world into an empty collection. */
	sample: async () => {
		await loadDemo(await theCollection());
		redirect(303, '/');
	}
};
