import { error } from '@sveltejs/kit';
import { readBinderView } from '$lib/server/binders/binder-view';
import { theCollection } from '$lib/server/collection';
import { rowId } from '$lib/core/row-id';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const view = await readBinderView((await theCollection()).db, rowId(Number(params.binder)));
	if (!view) error(404, 'There is no such binder. It may have been removed; undo brings it back.');
	return view;
};
