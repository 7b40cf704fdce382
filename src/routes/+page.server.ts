import { listBinders } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { listOutings } from '$lib/server/copies/outings';
import { readLow } from '$lib/server/storage/supplies/stock';
import { listGoals } from '$lib/server/goals/read-goals';
import { recentSteps } from '$lib/server/journal/undo';
import { endTour, readTour } from '$lib/server/tour/tour';
import { countReleases } from '$lib/server/releases/list-releases';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	return {
		goals: await listGoals(db),
		releases: await countReleases(db),
		binders: await listBinders(db),
		out: (await listOutings(db, now())).filter(({ state }) => state !== 'out'),
		low: await readLow(db),
		steps: await recentSteps(db, 6),
		/** Which of the first steps are done; null: they are not shown. */
		tour: await readTour(db)
	};
};

export const actions = {
	/** The first steps are not shown any more. */
	tour: async () => {
		await endTour(await theCollection());
		return {};
	}
};
