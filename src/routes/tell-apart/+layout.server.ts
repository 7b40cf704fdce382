import { theCollection } from '$lib/server/collection';
import { countUnseen } from '$lib/server/telling/second-pass';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	return { unseen: await countUnseen(db) };
};
