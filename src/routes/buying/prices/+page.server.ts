import { error } from '@sveltejs/kit';
import { rowId, type GoalId } from '$lib/core/row-id';
import { listSheets, sheetView } from '$lib/server/buying/prices/sheet-view';
import { theCollection } from '$lib/server/collection';

export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const sheets = await listSheets(db);
	const asked = url.searchParams.get('goal');
	if (asked !== null && !/^\d{1,15}$/.test(asked)) error(404, 'There is no such goal.');
	const id = asked === null ? sheets[0]?.id : rowId<'goals'>(Number(asked));
	const view = id === undefined ? null : await sheetView(db, id satisfies GoalId);
	if (asked !== null && !view) {
		error(404, 'There is no such goal. It may have been removed; undo brings it back.');
	}
	return { sheets, view };
};
