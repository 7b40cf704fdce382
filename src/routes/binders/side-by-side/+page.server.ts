import { listBinders } from '$lib/server/binders/read-binder';
import { openSide } from '$lib/server/binders/side';
import { theCollection } from '$lib/server/collection';
import { listReleaseNames } from '$lib/server/releases/list-releases';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const binders = (await listBinders(db)).map(({ id, name }) => ({ key: `binder-${id}`, name }));
	const releases = await listReleaseNames(db);
	const choices = [
		...binders.map(({ key }) => key),
		...releases.slice(0, 2).map(({ key }) => `release-${key}`)
	];
	const left = url.searchParams.get('left') ?? choices[0] ?? '';
	const right = url.searchParams.get('right') ?? choices.find((key) => key !== left) ?? '';
	return {
		binders,
		isEmpty: choices.length === 0,
		left: { key: left, side: await openSide(db, left) },
		right: { key: right, side: await openSide(db, right) }
	};
};
