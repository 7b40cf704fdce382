import type { RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';

/** Proxies close what is quiet for a minute. */
const STILL_THERE_MS = 25_000;

/** What is done in any window, as it is done: server-sent events, whose data is `{ label, window }`. */
export const GET: RequestHandler = async () => {
	const { news } = await theCollection();
	let end = () => {};
	const events = new ReadableStream<string>({
		start(controller) {
			controller.enqueue(': here\n\n');
			const stop = news.listen((announcement) => {
				if (announcement) controller.enqueue(`data: ${JSON.stringify(announcement)}\n\n`);
				// The window asks again, and is told by what has taken the place.
				else {
					end();
					controller.close();
				}
			});
			const beat = setInterval(() => controller.enqueue(': still here\n\n'), STILL_THERE_MS);
			end = () => {
				clearInterval(beat);
				stop();
			};
		},
		cancel: () => end()
	});
	return new Response(events.pipeThrough(new TextEncoderStream()), {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
	});
};
