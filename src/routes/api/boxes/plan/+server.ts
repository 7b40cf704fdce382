import { planStorage } from '$lib/server/storage/plan/plan-storage';
import { readStorageChoice, storageOptions } from '$lib/server/storage/plan/read-storage-options';
import { storageView } from '$lib/server/storage/plan/storage-view';
import { theCollection } from '$lib/server/collection';
import type { RequestHandler } from './$types';

/**
 * Plans places for all that has none: a line of JSON each (NDJSON), `{ done, total }` while it goes on,
 * then `{ view }`. Closing the connection stops it.
 */
export const GET: RequestHandler = async ({ url, request }) => {
	const { db } = await theCollection();
	const choice = await readStorageChoice(db, url.searchParams);
	const steps = planStorage(db, storageOptions(choice));
	const encoder = new TextEncoder();
	const line = (value: unknown) => encoder.encode(`${JSON.stringify(value)}\n`);
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			const step = await steps.next();
			if (request.signal.aborted) {
				controller.close();
				return;
			}
			if (!step.done) {
				controller.enqueue(line(step.value));
				return;
			}
			controller.enqueue(line({ view: await storageView(db, step.value) }));
			controller.close();
		}
	});
	return new Response(body, { headers: { 'content-type': 'application/x-ndjson' } });
};
