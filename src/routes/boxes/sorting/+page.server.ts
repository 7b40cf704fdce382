import { cardsOf } from '$lib/core/checklist/release';
import { compareCardNumbers } from '$lib/core/checklist/compare-card-numbers';
import { theCollection } from '$lib/server/collection';
import { listReleaseNames } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';

export const load = async ({ url }) => {
	const { db } = await theCollection();
	const releases = await listReleaseNames(db);
	const key = url.searchParams.get('release') ?? releases[0]?.key ?? '';
	const stored = await loadRelease(db, key);
	const numbers = stored ? cardsOf(stored.release).flatMap(({ card }) => card.number ?? []) : [];
	return {
		releases,
		release: stored ? { key, name: stored.release.name } : null,
		numbers: [...new Set(numbers)].sort(compareCardNumbers)
	};
};
