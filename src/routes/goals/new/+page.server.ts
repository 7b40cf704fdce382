import { theCollection } from '$lib/server/collection';
import { goalOptions } from '$lib/server/goals/goal-options';
import { usualRelease } from '$lib/server/releases/usual-release';

export const load = async ({ url }) => {
	const { db } = await theCollection();
	const key = url.searchParams.get('release') ?? (await usualRelease(db));
	return { options: key === null ? null : await goalOptions(db, key) };
};
