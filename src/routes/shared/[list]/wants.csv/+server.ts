import type { RequestHandler } from '@sveltejs/kit';
import { formatFriendCsv } from '$lib/formats/friend-list';
import { findShared } from '$lib/server/access/shared-lists';
import { sharedWants } from '$lib/server/access/shared-wants';
import { theCollection } from '$lib/server/collection';
import { download } from '$lib/server/download';
import { problemResponse } from '$lib/server/problem-document';
import { pageTask } from '$lib/server/workers/file-task';

/** The shared list as a file that a friend's program reads. */
export const GET: RequestHandler = async ({ params, request }) => {
	const list = await findShared((await theCollection()).db, params.list ?? '');
	if (!list) return problemResponse(404, 'This link leads nowhere any more.');
	const view = await pageTask('readWants', undefined, request.signal);
	const response = download(formatFriendCsv(sharedWants(view)), 'wants.csv', 'text/csv');
	response.headers.set('cache-control', 'no-store');
	return response;
};
