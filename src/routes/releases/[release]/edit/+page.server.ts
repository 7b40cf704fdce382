import { error } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { loadRelease } from '$lib/server/releases/load-release';

export const load = async ({ params }) => {
	const stored = await loadRelease((await theCollection()).db, params.release);
	if (!stored) error(404, 'This release is not in the collection.');
	return { release: stored.release };
};
