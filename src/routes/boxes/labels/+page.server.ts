import { LABEL_SORTS, labelTexts } from '$lib/server/storage/labels/label-texts';
import { readBoxes } from '$lib/server/storage/room/read-storage';
import { theCollection } from '$lib/server/collection';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	const sort = LABEL_SORTS.find((one) => one === url.searchParams.get('what')) ?? 'boxes';
	const boxIds = url.searchParams.getAll('box').map(Number).filter(Number.isInteger);
	const all = await readBoxes(db);
	return {
		sort,
		boxIds,
		boxes: all.map(({ id, name }) => ({ id, name })),
		origin: url.origin,
		labels: await labelTexts(db, { sort, boxIds, address: url.origin, date: now().slice(0, 10) })
	};
};
