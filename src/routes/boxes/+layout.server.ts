import { readTabCounts } from '$lib/server/storage/room/read-tab-counts';
import { theCollection } from '$lib/server/collection';

export const load = async ({ depends }) => {
	depends('jade:copies');
	return { tabs: await readTabCounts((await theCollection()).db) };
};
