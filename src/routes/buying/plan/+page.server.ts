import { listSellers } from '$lib/server/buying/plan/read-problem';
import { theCollection } from '$lib/server/collection';
import { bids, goalChoices, goals } from '$lib/server/database/tables';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { HUB } from '$lib/server/preferences/hub';
import { readPreference } from '$lib/server/preferences/preferences';
import { eq } from 'drizzle-orm';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const chosen = await db
		.select({ id: goals.id, name: goals.name })
		.from(goalChoices)
		.innerJoin(goals, eq(goals.id, goalChoices.goalId))
		.where(eq(goalChoices.choice, 'finish'));
	return {
		goals: chosen,
		sellers: (await listSellers(db)).map(({ id, name, offers }) => ({ id, name, offers })),
		bids: await db.$count(bids),
		hub: (await readPreference(db, HUB))?.name ?? null,
		currency: (await readPreference(db, BUYING_RULES)).currency
	};
};
