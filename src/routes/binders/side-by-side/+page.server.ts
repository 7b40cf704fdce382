import { listBinders } from '$lib/server/binders/read-binder';
import { openSide } from '$lib/server/binders/side';
import { theCollection } from '$lib/server/collection';
import { listReleases } from '$lib/server/releases/list-releases';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const choices = [
		...(await listBinders(db)).map(({ id, name }) => ({ key: `binder-${id}`, name })),
		...(await listReleases(db)).map(({ key, name }) => ({
			key: `release-${key}`,
			name: `${name}, as numbered`
		}))
	];
	const left = url.searchParams.get('left') ?? choices[0]?.key ?? '';
	const right = url.searchParams.get('right') ?? choices.find(({ key }) => key !== left)?.key ?? '';
	return {
		choices,
		left: { key: left, side: await openSide(db, left) },
		right: { key: right, side: await openSide(db, right) }
	};
};
