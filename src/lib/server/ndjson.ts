/** An answer of lines of JSON (NDJSON), each sent when the work tells it. */
export function ndjson(work: (tell: (value: unknown) => void) => Promise<void>): Response {
	const encoder = new TextEncoder();
	let isOpen = true;
	const body = new ReadableStream<Uint8Array>({
		start(controller) {
			const tell = (value: unknown) => {
				if (isOpen) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
			};
			// What was begun is finished, whether somebody still listens or not.
			void work(tell).then(
				() => isOpen && controller.close(),
				(error: unknown) => isOpen && controller.error(error)
			);
		},
		cancel() {
			isOpen = false;
		}
	});
	return new Response(body, { headers: { 'content-type': 'application/x-ndjson' } });
}
