import { error } from '@sveltejs/kit';
import { examine } from '$lib/core/checklist/doctor/examine';
import { expand } from '$lib/core/checklist/versions/expand';
import { theCollection } from '$lib/server/collection';
import { loadRelease } from '$lib/server/releases/load-release';
import { readShared } from '$lib/server/releases/read-shared';

/** The checklist apart from what is owned of it, so that a copy logged does not send it again. */
export const load = async ({ params }) => {
	const { db } = await theCollection();
	const stored = await loadRelease(db, params.release);
	if (!stored) error(404, 'This release is not in the collection.');
	const { release } = stored;
	return {
		release,
		versions: expand(release).length,
		findings: examine(release),
		shared: await readShared(db, release.key)
	};
};
