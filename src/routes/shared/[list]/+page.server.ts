import { error } from '@sveltejs/kit';
import { findShared } from '$lib/server/access/shared-lists';
import { sharedWants } from '$lib/server/access/shared-wants';
import { theCollection } from '$lib/server/collection';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

/** What somebody who has the link is shown: it says nothing of what is owned, nor of money. */
export const load: PageServerLoad = async ({ params, request, setHeaders }) => {
	// The link is a secret: it is told to no other site, found by no search, kept by no proxy.
	setHeaders({ 'x-robots-tag': 'noindex', 'cache-control': 'no-store' });
	const { db, now } = await theCollection();
	const list = await findShared(db, params.list);
	if (!list) error(404, 'This link leads nowhere any more. Ask whoever gave it to you.');
	const view = await pageTask('readWants', undefined, request.signal);
	return { name: list.name, at: now(), wants: sharedWants(view) };
};
