import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { listSlips } from '$lib/server/storage/slips/slips';

/** The newest slips that are kept; who has more open ones works at home. */
const MOST_SLIPS = 20;
const MOST_GOALS = 20;

/** What may be taken along: pages, by their paths. */
export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const goals = (await listGoals(db)).filter(({ have, need }) => have < need).slice(0, MOST_GOALS);
	const slips = (await listSlips(db))
		.filter(({ open, skipped }) => open + skipped > 0)
		.slice(-MOST_SLIPS);
	return {
		pages: [
			{ path: '/take-along', name: 'This page' },
			{ path: '/buying/fair', name: 'At the fair: the most to pay for each want' },
			{ path: '/buying/wants', name: 'Wants' },
			...goals.map(({ id, name }) => ({ path: `/goals/${id}/wants`, name: `Missing of ${name}` })),
			{ path: '/log/pile', name: 'Go through a pile' },
			{ path: '/boxes/slips', name: 'Slips' },
			...slips.map(({ id, name }) => ({ path: `/boxes/slips/${id}`, name: `Slip: ${name}` }))
		]
	};
};
