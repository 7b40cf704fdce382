import { theCollection } from '$lib/server/collection';
import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { listSynonyms } from '$lib/server/copies/synonyms';
import { listTrays } from '$lib/server/copies/trays';
import { stackSlots } from '$lib/server/goals/stack-slots';
import { findRelease } from '$lib/server/releases/load-release';

/** What a pile is judged by: read once; while it is gone through, the page keeps it up to date itself. */
export const load = async ({ parent, url }) => {
	const { db } = await theCollection();
	const { release } = await parent();
	const id = release === null ? null : await findRelease(db, release.key);
	const wanted = Number(url.searchParams.get('pile'));
	return {
		owned: id === null ? [] : [...countOwned(await readCopies(db, id))],
		slots: id === null ? [] : await stackSlots(db, id),
		synonyms: await listSynonyms(db),
		pile: (await listTrays(db)).find((tray) => tray.id === wanted && tray.tray === 'to log') ?? null
	};
};
