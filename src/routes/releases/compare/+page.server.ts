import { theCollection } from '$lib/server/collection';
import { listReleases } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';

export const load = async ({ url }) => {
	const { db } = await theCollection();
	const releases = await listReleases(db);
	const left = url.searchParams.get('left') ?? releases[0]?.key ?? '';
	const other = releases.find(({ key }) => key !== left)?.key ?? '';
	const right = url.searchParams.get('right') ?? other;
	return {
		releases: releases.map(({ key, name }) => ({ key, name })),
		left: (await loadRelease(db, left))?.release ?? null,
		right: (await loadRelease(db, right))?.release ?? null
	};
};
