import { theCollection } from '$lib/server/collection';
import { listSlips } from '$lib/server/storage/slips/slips';

/** The newest slips that are kept; who has more open ones works at home. */
const MOST_SLIPS = 20;

/** What may be taken along: pages, by their paths. */
export const load = async ({ depends }) => {
	depends('jade:copies');
	const slips = (await listSlips((await theCollection()).db))
		.filter(({ open, skipped }) => open + skipped > 0)
		.slice(-MOST_SLIPS);
	return {
		pages: [
			{ path: '/take-along', name: 'This page' },
			{ path: '/buying/fair', name: 'At the fair: the most to pay for each want' },
			{ path: '/buying/wants', name: 'Wants' },
			{ path: '/log/pile', name: 'Go through a pile' },
			{ path: '/boxes/slips', name: 'Slips' },
			...slips.map(({ id, name }) => ({ path: `/boxes/slips/${id}`, name: `Slip: ${name}` }))
		]
	};
};
