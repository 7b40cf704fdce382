import { theCollection } from '$lib/server/collection';
import { loadRelease } from '$lib/server/releases/load-release';
import { usualRelease } from '$lib/server/releases/usual-release';
import { readLookAlikes } from '$lib/server/telling/look-alikes';
import { photosOfRelease, readWatch } from '$lib/server/telling/picture-watch';
import { picturesOf } from '$lib/server/telling/reference-pictures';
import { pageTask } from '$lib/server/workers/file-task';

/**
 * `?of=` what reference pictures are kept of; `?release=` and `?card=` whose photos lie side by side; `?all`
 * compares those of the whole release.
 */
export const load = async ({ url, request, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const [shown] = await readLookAlikes(db, url.searchParams.getAll('of').slice(0, 1));
	const key =
		url.searchParams.get('release') ?? shown?.releaseKey ?? (await usualRelease(db)) ?? '';
	const stored = await loadRelease(db, key);
	if (!stored) return { release: null };
	const watch = await readWatch(db, stored);
	const card = url.searchParams.get('card') ?? shown?.card ?? null;
	const isAll = url.searchParams.has('all');
	return {
		release: { key: stored.release.key, name: stored.release.name },
		of: shown
			? {
					key: shown.key,
					name: shown.name,
					release: shown.release,
					pictures: await picturesOf(db, [shown.key])
				}
			: null,
		watch,
		hunts: (stored.release.hunts ?? []).map(({ name }) => name),
		card: watch.find((each) => each.key === card) ?? null,
		photos: card === null ? [] : await photosOfRelease(db, stored, card),
		/** Read while the page is shown already: every photo is looked at. */
		compared:
			card !== null || isAll
				? pageTask(
						'groupPhotos',
						{ release: stored.release.key, card: isAll ? null : card },
						request.signal
					)
				: null,
		isAll
	};
};
