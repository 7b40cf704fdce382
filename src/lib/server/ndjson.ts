/** Sends a line of an answer: a value, or JSON as it was written elsewhere. */
export interface Teller {
	readonly value: (value: unknown) => void;
	readonly line: (json: string) => void;
}

/** An answer of lines of JSON (NDJSON), each sent when the work tells it. */
export function ndjson(work: (tell: Teller) => Promise<void>): Response {
	const encoder = new TextEncoder();
	let isOpen = true;
	const body = new ReadableStream<Uint8Array>({
		start(controller) {
			const line = (json: string) => {
				if (isOpen) controller.enqueue(encoder.encode(`${json}\n`));
			};
			const tell = { line, value: (value: unknown) => line(JSON.stringify(value)) };
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
