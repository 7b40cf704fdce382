import { listBinders } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { recentSteps } from '$lib/server/journal/undo';
import { countReleases } from '$lib/server/releases/list-releases';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return {
		goals: await listGoals(db),
		releases: await countReleases(db),
		binders: await listBinders(db),
		steps: await recentSteps(db, 6)
	};
};
