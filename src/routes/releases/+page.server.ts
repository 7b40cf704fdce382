import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { listReleases } from '$lib/server/releases/list-releases';

export const load = async () => {
	const { db } = await theCollection();
	return { releases: await listReleases(db), goals: await listGoals(db) };
};
