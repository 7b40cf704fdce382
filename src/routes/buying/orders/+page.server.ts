import { theCollection } from '$lib/server/collection';
import { ordersView } from '$lib/server/buying/orders/orders-view';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('jade:copies');
	const collection = await theCollection();
	const now = collection.now();
	return { ...(await ordersView(collection.db, now)), today: now.slice(0, 10) };
};
