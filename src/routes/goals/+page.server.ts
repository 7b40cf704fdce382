import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { countReleases } from '$lib/server/releases/list-releases';

export const load = async () => {
	const { db } = await theCollection();
	return { goals: await listGoals(db), releases: await countReleases(db) };
};
