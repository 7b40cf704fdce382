import { error, redirect } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { loadRelease } from '$lib/server/releases/load-release';
import { removeRelease } from '$lib/server/releases/remove-release';

export const load = async ({ params }) => {
	const { db } = await theCollection();
	const stored = await loadRelease(db, params.release);
	if (!stored) error(404, 'This release is not in the collection.');
	const goals = await listGoals(db);
	return {
		release: stored.release,
		goals: goals.filter(({ releaseKey }) => releaseKey === params.release)
	};
};

export const actions = {
	remove: async ({ params }) => {
		if (!(await removeRelease(await theCollection(), params.release))) {
			error(404, 'This release is not in the collection.');
		}
		redirect(303, '/releases');
	}
};
