import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { goalOptions } from '$lib/server/goals/goal-options';
import { problemResponse } from '$lib/server/problem-document';

/** What the rules of a goal can be chosen from: `?release=…&further=…&further=…`. */
export const GET: RequestHandler = async ({ url }) => {
	const { db } = await theCollection();
	const release = url.searchParams.get('release') ?? '';
	const options = await goalOptions(db, release, url.searchParams.getAll('further'));
	return options ? json(options) : problemResponse(404, 'This release is not in the collection.');
};
