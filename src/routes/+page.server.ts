import { goalGroups } from '$lib/core/goal/goal-groups';
import { nextBest } from '$lib/core/goal/next-best';
import { listBinders } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { workOutGoals } from '$lib/server/goals/work-out-goals';
import { recentSteps } from '$lib/server/journal/undo';
import { listReleases } from '$lib/server/releases/list-releases';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const states = await workOutGoals(db, () => true);
	const next = new Map(
		states.map(({ goal, releases, slots, filling }) => [
			goal.id,
			nextBest(goalGroups(releases, slots, filling))
		])
	);
	return {
		goals: (await listGoals(db)).map((goal) => ({ ...goal, next: next.get(goal.id) ?? null })),
		releases: await listReleases(db),
		binders: await listBinders(db),
		steps: await recentSteps(db, 6)
	};
};
