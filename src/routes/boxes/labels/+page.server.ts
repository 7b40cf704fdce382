import { LABEL_SORTS } from '$lib/server/storage/labels/label-texts';
import { countLabels } from '$lib/server/storage/labels/preview-labels';
import { readBoxIds } from '$lib/server/storage/labels/read-box-ids';
import { readBoxHeads } from '$lib/server/storage/room/read-storage';
import { theCollection } from '$lib/server/collection';
import { pageTask } from '$lib/server/workers/file-task';

/** Labels whose texts are shown; the others are printed. */
const SHOWN = 6;

export const load = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	const sort = LABEL_SORTS.find((known) => known === url.searchParams.get('what')) ?? 'boxes';
	const boxIds = readBoxIds(url.searchParams);
	const all = await readBoxHeads(db);
	const choice = { sort, boxIds, address: url.origin, date: now().slice(0, 10) };
	return {
		sort,
		boxIds,
		boxes: all.map(({ id, name }) => ({ id, name })),
		origin: url.origin,
		count: await countLabels(db, choice),
		// They come when they are there: the page does not wait for them.
		labels: pageTask('previewLabels', { choice, most: SHOWN }, request.signal)
	};
};
