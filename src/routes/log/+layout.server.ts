import { theCollection } from '$lib/server/collection';
import { usualRelease } from '$lib/server/releases/usual-release';
import { countReleases } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';

/** The checklist that is logged against, apart from what is owned of it. */
export const load = async ({ url }) => {
	const { db } = await theCollection();
	const key = url.searchParams.get('release') ?? (await usualRelease(db));
	const stored = key === null ? null : await loadRelease(db, key);
	return {
		releases: await countReleases(db),
		release: stored?.release ?? null
	};
};
