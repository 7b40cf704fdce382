import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { theCollection } from '$lib/server/collection';
import { findRelease } from '$lib/server/releases/load-release';

export const load = async ({ parent, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const { release } = await parent();
	const id = release === null ? null : await findRelease(db, release.key);
	return { owned: id === null ? [] : [...countOwned(await readCopies(db, id))] };
};
