import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { theCollection } from '$lib/server/collection';
import { lastLoggedRelease } from '$lib/server/releases/last-logged';
import { listReleases } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';

export const load = async ({ url }) => {
	const { db } = await theCollection();
	const releases = await listReleases(db);
	const usual = (await lastLoggedRelease(db)) ?? releases[0]?.key;
	const key = url.searchParams.get('release') ?? usual;
	const stored = key === undefined ? null : await loadRelease(db, key);
	return {
		releases: releases.map(({ key, name }) => ({ key, name })),
		release: stored?.release ?? null,
		owned: stored ? [...countOwned(await readCopies(db, stored.id))] : []
	};
};
