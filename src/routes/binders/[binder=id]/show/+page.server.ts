import { tellBlocks } from '$lib/server/binders/tell-blocks';
import { theCollection } from '$lib/server/collection';
import { rowId } from '$lib/core/row-id';

/** What is told of the blocks of a binder while its pages are shown. */
export const load = async ({ params }) => ({
	telling: await tellBlocks((await theCollection()).db, rowId(Number(params.binder)))
});
