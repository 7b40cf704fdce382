import { json, type RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { nextSteps } from '$lib/server/journal/undo';
import { theWindow } from '$lib/server/journal/window';

/** What undo and redo would do for the window that asks. */
export const GET: RequestHandler = async () =>
	json(await nextSteps((await theCollection()).db, theWindow() ?? undefined));
