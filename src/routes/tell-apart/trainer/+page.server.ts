import { theCollection } from '$lib/server/collection';
import { readSitting } from '$lib/server/telling/trainer';

/** A sitting: read once, so that it does not change while it is answered. */
export const load = async () => {
	const { db, now } = await theCollection();
	return { ...(await readSitting(db, now(), () => Math.random())), at: now() };
};
